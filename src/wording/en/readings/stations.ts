import type { GroupId } from '../../../core/sheet';
import { YES_NO } from './shared';
import type { SomeReadingWords } from './reading-words';

/** A burr is said alike on either rail. */
const burr = (name: string, field: string) =>
  ({
    name,
    field,
    words: { none: 'none', felt: 'felt', heavy: 'heavy' },
    check: 'Burr',
    says: {
      none: 'No burr.',
      felt: 'A burr is felt on the outer edge: deburr and bevel.',
      heavy: 'A heavy burr stands on the outer edge: deburr and bevel. Gloves on, it cuts like a knife.',
    },
  }) as const;

/** Words for what can be said of the edges of the bar and their stations. */
export const STATION_WORDS = {
  'bar.edges.stations.at': 'position',
  'bar.edges.stations.near': 'near rail',
  'bar.edges.stations.far': 'far rail',
  'bar.edges.stations.mouth': 'groove width',
  'bar.edges.stations.deep': { name: 'width further down', field: 'Width lower down' },
  'bar.edges.stations.deepAt': { name: 'how far down the width was taken', field: 'that far down' },
  'bar.edges.stations.burrNear': burr('burr on the near rail', 'Burr, near'),
  'bar.edges.stations.burrFar': burr('burr on the far rail', 'Burr, far'),
  'bar.edges.stations.chipNear.length': { name: 'length of the chip, near rail', field: 'Chip, near: long' },
  'bar.edges.stations.chipNear.depth': { name: 'depth of the chip, near rail', field: 'deep' },
  'bar.edges.stations.chipFar.length': { name: 'length of the chip, far rail', field: 'Chip, far: long' },
  'bar.edges.stations.chipFar.depth': { name: 'depth of the chip, far rail', field: 'deep' },
  'bar.edges.stations.rut.depth': { name: 'depth of the rut or pit', field: 'Rut or pit: deep' },
  'bar.edges.stations.rut.length': { name: 'length of the rut or pit', field: 'long' },
  'bar.edges.stations.marker': {
    name: 'where one marker pass touched',
    field: 'One marker pass touched',
    hint: 'Where ink stays, the rail is low.',
    words: { near: 'near only', far: 'far only', both: 'both', none: 'neither' },
  },
  'bar.edges.stations.square': {
    name: 'square on the rails',
    field: 'Square on the rails',
    hint: 'Light under it shows the low rail, finer than a depth rod. A blade that goes in under the low side is surer still.',
    words: { level: 'level', 'near-high': 'near high', 'far-high': 'far high' },
  },
  'bar.edges.stations.squareWith': {
    name: 'how the square was used',
    field: 'Looked for',
    words: { eye: 'by the light', blade: 'with a 0.10 mm blade' },
  },
  'bar.edges.stations.leaveLow': { name: 'the dip that is left', field: 'Leave it', words: YES_NO },
  'bar.edges.stations.after.near': 'near rail, after the rework',
  'bar.edges.stations.after.far': 'far rail, after the rework',
  'bar.edges.stations.after.mouth': 'groove width, after the rework',
  'bar.edges.stations.note': 'note',
  'bar.edges.stands': {
    name: 'the clean bar stood on its edge',
    hint: 'On something flat: a level edge stands by itself, an unlevel one falls to the side of its low rail. Finer than a depth rod.',
    words: { yes: 'stands', near: 'falls to the near side', far: 'falls to the far side' },
  },
} as const satisfies SomeReadingWords;

/** Groups and lists of them, as one points at them in a sentence. */
export const STATION_PLACES = {
  'bar.edges': 'the edges of the bar',
  'bar.edges.stations': 'depth from both rails',
  'bar.edges.stations.chipNear': 'chip in the near rail',
  'bar.edges.stations.chipFar': 'chip in the far rail',
  'bar.edges.stations.rut': 'rut or pit in the rail tops',
  'bar.edges.stations.after': 'the second measurement',
} as const satisfies Partial<Record<GroupId, string>>;
