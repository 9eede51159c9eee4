import type { Check, ComputedCheckId } from '../../core/judge';
import { plural } from './plural';

/** Says a value, in the unit of the screen, against what it is held against. */
export type Say = (value: string, against: string, check: Check) => string;

/**
 * What is said of a check that is computed of several readings: its heading, and a sentence where the plain one will
 * not do.
 */
interface ComputedWords {
  readonly check: string;
  /** Beyond its limit. */
  readonly fail?: Say;
  /** Within its limit and beyond where watching begins. */
  readonly watch?: Say;
  /** Within its limit. */
  readonly ok?: Say;
  /** What was observed, where it follows from several readings. */
  readonly says?: Readonly<Record<string, string>>;
}

/** The words of every check that is computed of several readings. */
export const COMPUTED_WORDS: Readonly<Record<ComputedCheckId, ComputedWords>> = {
  'bar.depth': {
    check: 'Groove depth',
    fail: (value, limit) => `The groove is ${value} deep at its least place, the least is ${limit}.`,
  },
  'bar.depth-after': {
    check: 'Groove depth after dressing',
    fail: (value, limit) => `Dressing would leave ${value} of groove, the least is ${limit}: too little left to dress.`,
  },
  'bar.floor-clearance': {
    check: 'Room under the link',
    fail: (value) => `The drive link stands on the floor (${value} of room): it rubs, heats and wears the tang.`,
    watch: (value, from) => `Only ${value} of room under the link: about ${from} is fine, none is not.`,
  },
  'bar.floor-clearance-after': {
    check: 'Room under the link after dressing',
    fail: (value) => `After dressing the drive link would stand on the floor (${value} of room).`,
    watch: (value, from) => `Only ${value} of room under the link: about ${from} is fine, none is not.`,
  },
  'bar.play': {
    check: 'Side play',
    fail: (value, limit) => `The chain has ${value} of side play, the most is ${limit}: the groove is worn out.`,
    watch: (value, from) => `Side play is ${value}: beginning to rock, watch from ${from}.`,
  },
  'bar.play-after': {
    check: 'Side play after dressing',
    fail: (value, limit) =>
      `Even dressed, the chain would keep ${value} of side play, the most is ${limit}: splayed beyond what dressing recovers.`,
    watch: (value, from) => `Side play is ${value}: beginning to rock, watch from ${from}.`,
  },
  'bar.pinch': {
    check: 'Pinched place',
    fail: (value) =>
      `The groove is ${value.replace(/^[-\u2212]/, '')} narrower than the link: it pinches. Ease the place.`,
  },
  'bar.step': {
    check: 'Step between the rails',
    fail: (value, limit) => `One rail stands ${value} over the other, dress above ${limit}.`,
  },
  'bar.dip': {
    check: 'Dip that both rails share',
    fail: (value, limit) =>
      `Both rails dip here, neither over the other: levelling to it takes ${value} off in places, dress above ${limit}.`,
  },
  'bar.chip': {
    check: 'Chip',
    watch: (value, _, check) =>
      `A piece ${value} long is out of the rail: ${check.value! > (check.limit ?? 0) ? 'the dressing goes down to it' : 'short enough to be left'}.`,
  },
  'bar.rut': {
    check: 'Rut or pit in the rail tops',
    ok: (value) => `A rut ${value} deep: it goes with the next dressing.`,
    watch: (value) => `A rut or pit ${value} deep: the dressing goes down to its floor on both rails here.`,
  },
  'bar.marker': {
    check: 'Marker pass',
    says: {
      agrees: 'The marker says the same as all else.',
      disagrees: 'The marker speaks against all else that is known of this edge: ink it and pass the file once more.',
    },
  },
  'bar.square': {
    check: 'Square against the light',
    says: {
      agrees: 'The square says the same as all else.',
      disagrees: 'The square speaks against all else that is known of this edge: set it there once more.',
    },
  },
  'bar.stands': {
    check: 'Stood on its edge',
    says: {
      agrees: 'Stood on its edge, the bar says the same as all else.',
      disagrees:
        'Stood on its edge, the bar speaks against all else that is known of this edge: clean it and stand it up once more.',
    },
  },
  'bar.nose': {
    check: 'Nose of the bar',
    says: {
      replaceable: 'The nose has failed and can be replaced on this bar.',
      fixed: 'The nose has failed and cannot be replaced on this bar.',
      unknown: 'The nose has failed: whether it can be replaced on this bar decides.',
    },
  },
  'chain.cutter': {
    check: 'Cutter length after correction',
    fail: (value, limit) => `Filed back to the worst cutter, ${value} would be left, the least is ${limit}.`,
    ok: (value, limit) => `Filed back to the worst cutter, ${value} are left; the least is ${limit}.`,
  },
  'chain.half': {
    check: 'What damage takes of a cutter',
    fail: (value, limit) =>
      `Filing its damage out takes ${value} of a cutter, half or more is seldom worth it (${limit}).`,
    watch: (value) =>
      `Filing its damage out takes ${value} of a cutter: at half and more a new chain is worth thinking of.`,
    ok: (value, limit) => `Filing its damage out takes ${value} of a cutter, under ${limit}.`,
  },
  'chain.elongation': {
    check: 'Elongation',
    fail: (value, limit) => `The chain has grown by ${value}, the most is ${limit}.`,
    watch: (value, from) => `The chain has grown by ${value}: watch from ${from}.`,
  },
  'chain.gauges-too-low': {
    check: 'Lowest depth gauge, beyond mending',
    fail: (value, limit) =>
      `A depth gauge stands ${value} under its edge, and the cutters have not so much left that filing them back would mend it (${limit}): it grabs and kicks back.`,
  },
  'chain.gauges-low': {
    check: 'Lowest depth gauge',
    fail: (value, limit) =>
      `A depth gauge stands ${value} under its edge, the most is ${limit}: it grabs, kicks back and wears the straps.`,
  },
  'chain.gauges-high': {
    check: 'Highest depth gauge',
    fail: (value, limit) =>
      `A depth gauge stands only ${value} under its edge, the least is ${limit}: fine dust, and it must be pushed.`,
  },
  'chain.gauges-uneven': {
    check: 'Depth gauges, left against right',
    watch: (value) =>
      `Left and right depth gauges differ by ${value} on average: the side that stands lower bites deeper and draws the cut.`,
  },
  'chain.uneven': {
    check: 'Left against right',
    fail: (value, limit) =>
      `Left and right cutters differ by ${value} on average, even them out above ${limit}: the longer side cuts more, leans the chain, and wears the rail of its side.`,
  },
  'chain.angle': {
    check: 'Top-plate angle',
    fail: (value, limit) => `The top plates stand ${value} off their angle, correct above ${limit}.`,
  },
  'chain.tangs': {
    check: 'Drive-link tangs',
    fail: (value, _, check) =>
      check.condemns
        ? `${value} drive-link tangs are burred: too many to file. Check the groove as well.`
        : check.value === 1
          ? 'One drive-link tang is burred: file it.'
          : `${value} drive-link tangs are burred: file them.`,
  },
  'chain.tight-joints': {
    check: 'Tight joints',
    fail: (_value, _, check) =>
      plural(check.value ?? 0, { one: 'One joint is tight: free it.', other: '# joints are tight: free them.' }),
  },
  'sprocket.chains': {
    check: 'Chains run on it',
    watch: (value) => `${value} chains have run on it: about two is what a sprocket lasts.`,
  },
  'refit.lift': {
    check: 'Tension',
    fail: (value, limit, check) =>
      check.kind === 'min'
        ? `The chain lifts ${value} at mid-bar, the least is ${limit}: too tight, slacken it.`
        : `The chain lifts ${value} at mid-bar, the most is ${limit}: tension it again.`,
  },
  'proof.idle': {
    check: 'Chain at idle',
    says: {
      stands: 'The chain stands while the saw idles.',
      turns:
        'The chain turns while the saw idles: it is not tried and does not go out. Idle speed, clutch and drum first, by the saw maker’s instructions.',
    },
  },
  'proof.oil': {
    check: 'Oil at the nose',
    says: { flies: 'Oil flies off the nose.', none: 'No oil comes at the nose: it does not go out like this.' },
  },
  'proof.drift': {
    check: 'Drift of the test cut',
    fail: (value, limit) => `The test cut drifts ${value}, at this depth ${limit} is noticed.`,
  },
  'proof.swarf': {
    check: 'What it throws',
    says: { chips: 'It throws chips.', dust: 'It throws dust: it scrapes where it should cut.' },
  },
};
