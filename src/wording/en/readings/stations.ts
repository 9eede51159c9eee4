import { YES_NO } from './shared';
import type { SomeReadingWords } from './reading-words';

/** A burr is said alike on either rail. */
const burr = (name: string) =>
  ({
    name,
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
  'bar.edges.stations.deep': 'width further down',
  'bar.edges.stations.deepAt': 'how far down the width was taken',
  'bar.edges.stations.burrNear': burr('burr on the near rail'),
  'bar.edges.stations.burrFar': burr('burr on the far rail'),
  'bar.edges.stations.chipNear.length': 'length of the chip, near rail',
  'bar.edges.stations.chipNear.depth': 'depth of the chip, near rail',
  'bar.edges.stations.chipFar.length': 'length of the chip, far rail',
  'bar.edges.stations.chipFar.depth': 'depth of the chip, far rail',
  'bar.edges.stations.marker': {
    name: 'where one marker pass touched',
    words: { near: 'near only', far: 'far only', both: 'both', none: 'neither' },
  },
  'bar.edges.stations.square': {
    name: 'square on the rails',
    words: { level: 'level', 'near-high': 'near high', 'far-high': 'far high' },
  },
  'bar.edges.stations.squareWith': {
    name: 'how the square was used',
    words: { eye: 'by the light', blade: 'with a 0.10 mm blade' },
  },
  'bar.edges.stations.leaveLow': { name: 'the dip that is left', words: YES_NO },
  'bar.edges.stations.after.near': 'near rail, after the rework',
  'bar.edges.stations.after.far': 'far rail, after the rework',
  'bar.edges.stations.after.mouth': 'groove width, after the rework',
  'bar.edges.stations.note': 'note',
  'bar.edges.stands': {
    name: 'the clean bar stood on its edge',
    words: { yes: 'stands', near: 'falls to the near side', far: 'falls to the far side' },
  },
} as const satisfies SomeReadingWords;
