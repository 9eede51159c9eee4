import type { CheckId } from '../../core/judge';
import { findingNames } from './findings';

/** What each check is about, as a short heading. */
export const checkName: Record<CheckId, string> = {
  ...findingNames,
  'bar.bow': 'Bow',
  'bar.depth': 'Groove depth',
  'bar.depth-after': 'Groove depth after dressing',
  'bar.floor-clearance': 'Room under the link',
  'bar.floor-clearance-after': 'Room under the link after dressing',
  'bar.play': 'Side play',
  'bar.play-after': 'Side play after dressing',
  'bar.step': 'Step between the rails',
  'bar.chip': 'Chip',
  'bar.marker': 'Marker pass',
  'bar.square': 'Square against the light',
  'bar.stands': 'Stood on its edge',
  'bar.nose': 'Nose of the bar',
  'chain.cutter': 'Cutter length after correction',
  'chain.half': 'What damage takes of a cutter',
  'chain.elongation': 'Elongation',
  'chain.gauges-too-low': 'Lowest depth gauge, beyond mending',
  'chain.gauges-low': 'Lowest depth gauge',
  'chain.gauges-high': 'Highest depth gauge',
  'chain.uneven': 'Left against right',
  'chain.angle': 'Top-plate angle',
  'chain.tang-burr': 'Burr on a tang',
  'chain.tangs': 'Drive-link tangs',
  'chain.tight-joints': 'Tight joints',
  'sprocket.wear': 'Wear depth',
  'sprocket.chains': 'Chains run on it',
};
