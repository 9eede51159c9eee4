import { PITCH, CRACK, RESIN, YES_NO } from './shared';
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
  'chain.damage.kind': {
    name: 'kind of damage on a cutter',
    words: { chip: 'chipped', flat: 'flat spot', burnt: 'burnt corner', angle: 'wrong angle' },
  },
  'chain.damage.place': {
    name: 'where the damage sits',
    words: { corner: 'at the working corner', behind: 'behind the corner' },
  },
  'chain.damage.setBack': 'set-back that clears the damage',
  'chain.witnessLimit': 'witness mark',
  'chain.depthGaugesLeft': 'height of a left depth gauge',
  'chain.depthGaugesRight': 'height of a right depth gauge',
  'chain.gaugeSetting': 'setting marked on the depth gauges',
  'chain.topPlateWidth': 'width of the top plate',
  'chain.topPlateAngleLeft': 'top-plate angle, left',
  'chain.topPlateAngleRight': 'top-plate angle, right',
  'chain.pushPull.joints': 'joints pushed and pulled',
  'chain.pushPull.closed': 'length pushed together',
  'chain.pushPull.pulled': 'length pulled apart',
  'chain.newPushPull.joints': 'joints pushed and pulled when new',
  'chain.newPushPull.closed': 'length pushed together when new',
  'chain.newPushPull.pulled': 'length pulled apart when new',
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
  'chain.checks.broken': {
    name: 'whether a link has given way',
    words: { no: 'none', yes: 'broken' },
    check: 'Broken links',
    says: { no: 'No link is broken.', yes: 'A link has given way: the chain goes.' },
  },
  'chain.checks.edge': {
    name: 'edge of the cutters',
    words: { sharp: 'sharp', dull: 'dull' },
    check: 'Edge',
    says: {
      sharp: 'The cutters are sharp.',
      dull: 'The working corners shine: they are dull. It must be pushed, and pushing wears bar, straps and sprocket.',
    },
  },
  'chain.checks.undercut': {
    name: 'undercut of the cutters',
    words: { right: 'right', hooked: 'hooked', blunt: 'blunt' },
    check: 'Undercut',
    says: {
      right: 'The side plates stand right under the edge.',
      hooked:
        'The cutters are hooked: the file was too small or held too low. They grab, and their thin edge does not last.',
      blunt: 'The cutters slope back: the file was too large or held too high. They scrape and must be pushed.',
    },
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
  'chain.checks.feel': {
    name: 'push and pull by feel',
    words: { tight: 'tight', some: 'some give', loose: 'loose' },
    check: 'Push and pull by feel',
    says: {
      tight: 'Pushed and pulled by hand, the joints give next to nothing.',
      some: 'Pushed and pulled by hand, the joints give a little.',
      loose: 'Pushed and pulled by hand, the joints are loose: measure by how much before it is judged.',
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
  'chain.checks.heat': {
    name: 'colour of heat on the chain',
    words: { none: 'none', straw: 'straw', blue: 'blue' },
    check: 'Heat',
    says: {
      none: 'No colour of heat.',
      straw: 'Straw-coloured from heat: it ran dry, blunt or too tight.',
      blue: 'Blue from heat: it ran dry, blunt or too tight for long, and steel that went blue is soft.',
    },
  },
  'chain.checks.oilDimples': {
    name: 'oil dimples of the links',
    words: { clear: 'clear', fading: 'fading', gone: 'gone' },
    check: 'Oil dimples',
    says: {
      clear: 'The oil dimples are clear.',
      fading: 'The oil dimples are fading: the straps are wearing where they run on the rails.',
      gone: 'The oil dimples are worn away: the links carry little oil round any more.',
    },
  },
  'chain.checks.derailed': {
    name: 'whether the chain came off',
    words: YES_NO,
    check: 'Came off',
    says: {
      no: 'It did not come off while it ran.',
      yes: 'It came off while it ran: look at the groove, the chain catcher and the rear guard.',
    },
  },
  'chain.checks.burredTangs': 'burred tangs',
  'chain.checks.tangBurr': {
    name: 'the worst burr on a tang',
    check: 'Burr on a tang',
    limit: 'Burr on a tang: file above',
    fail: (value) => `The worst burr on a tang stands out by ${value}: file it, or it reams the groove.`,
  },
  'chain.checks.tangWear': {
    name: 'tips of the tangs',
    words: { none: 'whole', rounded: 'rounded', pointed: 'worn to a point' },
    check: 'Tang tips',
    says: {
      none: 'The tips of the tangs are whole.',
      rounded: 'The tips of the tangs are rounded: they have run on the floor of a groove.',
      pointed:
        'The tangs are worn to a point: they ran on the floor, rake no groove clean, and pass the wear on to the sprockets.',
    },
  },
  'chain.checks.tightJoints': 'tight joints',
  'chain.reworkDone': 'work done on the chain',
  'chain.after.cuttersLeft': 'length of a left cutter after the rework',
  'chain.after.cuttersRight': 'length of a right cutter after the rework',
  'chain.after.depthGaugesLeft': 'height of a left depth gauge after the rework',
  'chain.after.depthGaugesRight': 'height of a right depth gauge after the rework',
  'chain.bumperLinks': { name: 'whether there are bumper links', words: YES_NO },
  'chain.cutterShape': {
    name: 'shape of the cutters',
    words: { 'full-chisel': 'full chisel', 'semi-chisel': 'semi chisel', carbide: 'carbide' },
  },
  'chain.filing': {
    name: 'how the cutters are sharpened',
    words: { round: 'round file', square: 'square file', ground: 'ground' },
  },
  'chain.kickbackClass': {
    name: 'kickback class of the chain',
    words: { 'low-kickback': 'low-kickback', standard: 'standard' },
  },
  'chain.sequence': {
    name: 'cutters in their sequence',
    words: { 'full-complement': 'full complement', 'semi-skip': 'semi-skip', 'full-skip': 'full skip' },
  },
} as const satisfies SomeReadingWords;
