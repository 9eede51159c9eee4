import type { GroupId } from '../../../core/sheet';
import { EDGE, CRACK, RESIN } from './shared';
import type { SomeReadingWords } from './reading-words';

/** Words for what can be said of the bar as a whole. */
export const BAR_WORDS = {
  'bar.stamp': 'stamp on the bar',
  'bar.edgeDown': {
    name: 'the edge that came down',
    field: 'Edge that was down',
    hint: 'It goes back the other way round. A is down when the stamp reads upright.',
    words: EDGE,
  },
  'bar.edgeDownNow': { name: 'the edge that is down now', field: 'Edge that is down now', words: EDGE },
  'bar.construction': {
    name: 'construction of the bar',
    field: 'Construction',
    words: { laminated: 'laminated', solid: 'solid' },
  },
  'bar.mount': { name: 'mount of the bar', field: 'Mount', example: 'M2' },
  'bar.oilHole': { name: 'oil-hole pattern of the bar', field: 'Oil-hole pattern', example: 'O1' },
  'bar.groove': {
    name: 'groove near the floor',
    field: 'Width near the floor',
    hint: 'where it is little worn; a worn .050 mouth passes for .058',
  },
  'bar.listedLength': { name: 'listed length of the bar', field: 'Listed or said', example: '18 in' },
  'bar.thickness': { name: 'thickness of the bar', field: 'Thickness' },
  'bar.bodyHeight': { name: 'height of the bar', field: 'Height' },
  'bar.effectiveLength': { name: 'length from cover to tip', field: 'Cover to tip', example: '17 1/4 in' },
  'bar.reach': { name: 'length from case to tip', field: 'Case to tip', hint: 'what it cuts' },
  'bar.overallLength': { name: 'length from tail to tip', field: 'Tail to tip' },
  'bar.reworkDone': 'the work that was done',
  'bar.checks.crack': {
    name: 'a look for cracks in the bar',
    words: CRACK,
    check: 'Cracks',
    says: {
      no: 'No crack found in the bar.',
      yes: 'The bar is cracked: a crack always condemns.',
      unsure: 'A crack is suspected: clean the place and look again with a glass before deciding.',
    },
    unseen: 'The bar has not been looked over for cracks.',
  },
  'bar.checks.slot': {
    name: 'mount slot',
    words: { ok: 'sound', worn: 'worn', wallowed: 'wallowed out' },
    check: 'Mount slot',
    says: {
      ok: 'The mount slot is sound.',
      worn: 'The mount slot is worn: watch it.',
      wallowed: 'The mount slot is wallowed out: the bar cannot be clamped true.',
    },
    unseen: 'The mount slot has not been looked at.',
  },
  'bar.checks.bow': {
    name: 'bow of the bar',
    hint: 'sight down it; largest gap under a straight edge; 0 when none',
    check: 'Bow',
    limit: 'Bow: replace above',
    fail: (value, most) => `The bar is bowed by ${value}, the most is ${most}: replace.`,
    watch: {
      limit: 'Bow: straighten above',
      says: (value) => `The bar is bowed by ${value}: slight, may be straightened and must then be measured again.`,
    },
  },
  'bar.checks.twist': {
    name: 'twist of the bar',
    words: { none: 'none', slight: 'slight', plain: 'plain' },
    check: 'Twist',
    says: {
      none: 'The bar is not twisted.',
      slight: 'The bar is slightly twisted: it may be straightened and must then be measured again.',
      plain: 'The bar is plainly twisted: a real bend is not worth straightening.',
    },
  },
  'bar.checks.holes': {
    name: 'tensioner hole',
    words: { ok: 'sound', worn: 'worn', torn: 'torn out' },
    check: 'Tensioner hole',
    says: {
      ok: 'The tensioner hole is sound.',
      worn: 'The tensioner hole is worn: look at the tension often.',
      torn: 'The tensioner hole is torn out: it no longer holds the tension.',
    },
  },
  'bar.checks.oilHoles': {
    name: 'oil holes',
    hint: 'A blocked hole starves the bar; it condemns nothing.',
    words: { clear: 'clear', blocked: 'blocked' },
    check: 'Oil holes',
    says: { clear: 'The oil holes are clear.', blocked: 'The oil holes are blocked: clear both.' },
    unseen: 'The oil holes have not been looked at.',
  },
  'bar.checks.groove': {
    name: 'dirt in the groove',
    words: { clean: 'clean', packed: 'packed' },
    check: 'Groove',
    says: { clean: 'The groove is clean.', packed: 'The groove is packed: rake it, pulling away from the nose.' },
    unseen: 'Nobody has said whether the groove is clean.',
  },
  'bar.checks.blueing': {
    name: 'blue patches on the bar',
    words: { no: 'none', light: 'light', heavy: 'heavy' },
    check: 'Blueing',
    says: {
      no: 'No blueing.',
      light: 'Lightly blued: it ran hot. Look at oil, tension and clearance.',
      heavy: 'Heavily blued: it ran hot and the rails there may be soft. Find out why before it runs again.',
    },
    unseen: 'Nobody has looked for blueing.',
  },
  'bar.checks.dents': {
    name: 'dents in the rails',
    words: { none: 'none', light: 'light', deep: 'deep' },
    check: 'Dents',
    says: {
      none: 'No dents.',
      light: 'Light dents, which mean nothing.',
      deep: 'Deep dents: see whether the groove is pinched there.',
    },
  },
  'bar.checks.tailErosion': {
    name: 'erosion at the tail',
    words: { none: 'none', slight: 'slight', deep: 'deep' },
    check: 'Tail erosion',
    says: {
      none: 'No erosion at the tail.',
      slight: 'Slight erosion at the tail: the chain ran slack now and then.',
      deep: 'Deep erosion at the tail: a slack chain hammers there. Mind the tension.',
    },
  },
  'bar.checks.ruts': {
    name: 'ruts in the rail tops',
    words: { none: 'none', slight: 'slight', deep: 'deep' },
    check: 'Ruts in the rails',
    says: {
      none: 'No ruts in the rail tops.',
      slight: 'Slight ruts in the rail tops: they go with the next dressing.',
      deep: 'Ruts are worn into the rail tops: dress them out.',
    },
  },
  'bar.checks.railLine': {
    name: 'a rule laid along the rails',
    hint: 'a rule laid along them, against the light',
    words: { even: 'no light under it', low: 'light at a place' },
    check: 'Line of the rails',
    says: {
      even: 'A rule laid along the rails shows no light: hardly a dip hides between the stations.',
      low: 'A rule laid along the rails shows light at a place: measure the depth there.',
    },
  },
  'bar.checks.grooveShape': {
    name: 'shape of the groove along its length',
    hint: 'along its length',
    words: { even: 'even', pinched: 'pinched', splayed: 'splayed' },
    check: 'Shape of the groove',
    says: {
      even: 'The groove is even along its length.',
      pinched: 'The groove is pinched somewhere: ease the place.',
      splayed: 'The rails are splayed at the mouth: dressing takes the flare off; some shops close them.',
    },
  },
  'bar.checks.rust': {
    name: 'rust on the bar',
    hint: 'It condemns nothing.',
    words: { none: 'none', surface: 'on the surface', pitted: 'rail tops pitted' },
    check: 'Rust',
    says: {
      none: 'No rust.',
      surface: 'Rust on the surface: clean it off. It condemns nothing.',
      pitted: 'The rail tops are pitted by rust: clean it off and dress them. It condemns nothing.',
    },
  },
  'bar.checks.resin': {
    name: 'resin on the bar',
    words: RESIN,
    check: 'Resin on the bar',
    says: {
      none: 'No resin on the bar.',
      soft: 'Soft resin on the bar.',
      baked: 'Resin is baked onto the bar: it ran hot.',
    },
  },
  'bar.checks.barePaint': {
    name: 'bare paint',
    field: 'Paint',
    hint: 'Recorded, and means nothing.',
    words: { seen: 'bare in places' },
  },
  'bar.checks.straightEdge': {
    name: 'straight-edge test',
    hint: 'cutter pushed over against a rule on the side',
    words: { 'gap-stays': 'gap stays', 'gap-closes': 'gap closes', 'passes-beyond': 'passes beyond' },
    check: 'Straight-edge test',
    says: {
      'gap-stays': 'Straight-edge test: the gap stays.',
      'gap-closes': 'Straight-edge test: the gap closes. The rails are worn out.',
      'passes-beyond': 'Straight-edge test: the cutter passes beyond the rule. The rails are well past worn out.',
    },
    unseen: 'The straight-edge test has not been made.',
  },
} as const satisfies SomeReadingWords;

/** Groups and lists of them, as one points at them in a sentence. */
export const BAR_PLACES = {
  bar: 'the bar',
  'bar.checks': 'the bar looked over',
} as const satisfies Partial<Record<GroupId, string>>;
