import { PITCH, CRACK, RESIN } from './shared';
import type { SomeReadingWords } from './reading-words';

/** Words for what can be said of the chain. */
export const CHAIN_WORDS = {
  'chain.stamp': 'mark on the chain',
  'chain.span.rivets': 'rivets of the span',
  'chain.span.length': 'length of the span',
  'chain.span.instrument': 'tool of the span',
  'chain.template': { name: 'template over the rivets', words: PITCH },
  'chain.chassis': { name: 'build of the chain beside a known one', words: { small: 'small', large: 'large' } },
  'chain.fileSize': 'size of the file used on it',
  'chain.driveLinkThickness': 'drive-link thickness',
  'chain.driveLinks': 'count of drive links',
  'chain.cutters': 'number of cutters',
  'chain.loopLength': 'length once round',
  'chain.tang': 'the length of the tang',
  'chain.kerf': 'the kerf',
  'chain.tipHeight': 'the height of the cutter tip',
  'chain.cuttersLeft': 'length of a left cutter',
  'chain.cuttersRight': 'length of a right cutter',
  'chain.damage.side': { name: 'side of the damaged cutter', words: { left: 'left', right: 'right' } },
  'chain.damage.cutter': 'number of the damaged cutter',
  'chain.damage.setBack': 'set-back that clears the damage',
  'chain.witnessLimit': 'witness mark',
  'chain.pushPull.joints': 'joints pushed and pulled',
  'chain.pushPull.closed': 'length pushed together',
  'chain.pushPull.pulled': 'length pulled apart',
  'chain.checks.crack': {
    name: 'a look for cracks in the chain',
    words: CRACK,
    check: 'Cracks',
    says: {
      no: 'No crack found in the chain.',
      yes: 'A link is cracked: a crack always condemns.',
      unsure: 'A crack is suspected in a link: clean it and look again before deciding.',
    },
    unseen: 'The chain has not been looked over for cracks.',
  },
  'chain.checks.strapBurrs': {
    name: 'undersides of the straps',
    words: { none: 'clean', light: 'lightly peened', heavy: 'burred' },
    check: 'Strap undersides',
    says: {
      none: 'Strap undersides are clean.',
      light: 'Strap undersides are lightly peened: it ran slack or blunt.',
      heavy: 'Strap undersides are burred: dress them, and look for a slack or blunt run as the cause.',
    },
  },
  'chain.checks.resin': {
    name: 'resin on the chain',
    words: RESIN,
    check: 'Resin on the chain',
    says: {
      none: 'No resin on the chain: bright, it was sharp and oiled.',
      soft: 'Soft resin on the chain.',
      baked: 'Resin is baked onto the chain: it ran hot.',
    },
  },
  'chain.checks.burredTangs': 'burred tangs',
  'chain.checks.tightJoints': 'tight joints',
  'chain.kickbackClass': {
    name: 'kickback class of the chain',
    words: { 'low-kickback': 'low-kickback', standard: 'standard' },
  },
  'chain.sequence': {
    name: 'cutters in their sequence',
    words: { 'full-complement': 'full complement', 'semi-skip': 'semi-skip', 'full-skip': 'full skip' },
  },
} as const satisfies SomeReadingWords;
