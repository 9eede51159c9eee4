import type { GroupId } from '../../../core/sheet';
import { GUARD, SPROCKET_KIND, YES_NO } from './shared';
import type { SomeReadingWords } from './reading-words';

/** Words for what can be said of the customer, the saw, and the acts of taking it apart and cleaning it. */
export const TAKE_IN_WORDS = {
  'job.reference': 'reference of the job',
  'job.symptoms': {
    name: 'symptoms',
    field: 'Symptoms',
    words: {
      'cuts-curved-left': 'cuts in a curve, left',
      'cuts-curved-right': 'cuts in a curve, right',
      'chain-comes-off': 'chain comes off',
      'runs-hot': 'smokes or runs hot',
      'fine-dust': 'fine dust, no chips',
      'needs-force': 'needs pushing',
      'eats-chains': 'eats chains',
      vibrates: 'vibrates',
      stalls: 'stalls when held to the line',
      'will-not-oil': 'will not oil',
      'will-not-take-up-tension': 'will not take up tension',
    },
  },
  'job.use': {
    name: 'what the saw is used for',
    field: 'Used for',
    words: {
      bucking: 'bucking',
      limbing: 'limbing',
      milling: 'milling, ripping',
      felling: 'felling',
      rescue: 'rescue',
    },
  },
  'job.operatorTrained': {
    name: 'who runs the saw',
    field: 'Who runs the saw',
    hint: 'Decides the kickback class. Local rules come first.',
    words: { yes: 'trained', no: 'not trained' },
  },
  'job.brought': {
    name: 'what was brought',
    field: 'Brought',
    words: {
      'whole-saw': 'whole saw',
      bar: 'bar',
      chain: 'chain',
      'drive-sprocket': 'drive sprocket',
      scrap: 'a scrap to copy',
    },
  },
  'job.sharpening': {
    name: 'how the chain gets sharpened',
    field: 'How they sharpen',
    words: { hand: 'file, free hand', guide: 'file with a guide', grinder: 'grinder', never: 'never' },
  },
  'job.filesOnBar': { name: 'whether the chain is filed on the bar', field: 'Chain filed on the bar', words: YES_NO },
  'job.carriesWrench': { name: 'whether the wrench is carried', field: 'Wrench carried along', words: YES_NO },
  'job.hoursPerWeek': {
    name: 'running hours in a usual week',
    field: 'Running in a usual week',
    hint: 'Chain turning. With it the next visit follows from the wear.',
    suffix: 'h',
  },
  'job.kickbackChoice': {
    name: 'why standard chain was chosen',
    field: 'Chosen because',
    hint: 'The reason goes on record with your name. Local rules on kickback class come first.',
  },
  'job.turnOver': {
    name: 'how often the bar is turned over',
    field: 'Bar turned over',
    words: {
      never: 'never',
      sometimes: 'now and then',
      'every-chain': 'every chain',
      'every-sharpening': 'every sharpening',
    },
  },
  'job.complaint': 'what the customer says',
  'saw.label': { name: 'name of the saw', field: 'Saw' },
  'saw.mount': { name: 'mount of the saw', field: 'Mount', example: 'M2' },
  'saw.oilHole': { name: 'oil-hole pattern of the saw', field: 'Oil-hole pattern', example: 'O1' },
  'saw.sprocketKind': {
    name: 'kind of drive sprocket that the saw takes',
    field: 'The saw takes',
    words: SPROCKET_KIND,
  },
  'saw.splines': { name: 'splines of the saw’s hub', field: 'Splines, saw', hint: 'on its hub or drum' },
  'saw.maxRpm': { name: 'top speed of the saw', field: 'Top speed', suffix: '1/min' },
  'saw.checks.chainCatcher': { name: 'chain catcher of the saw', field: 'Chain catcher', words: GUARD },
  'saw.checks.rearGuard': { name: 'rear guard of the saw', field: 'Rear guard', words: GUARD },
  'saw.turnLog.came': 'the edge that came down, at an earlier service',
  'saw.turnLog.went': 'the edge that went back down, at an earlier service',
  'saw.sameBar': {
    name: 'whether it is the same bar',
    field: 'Same bar as at the last service',
    hint: 'Of another bar the log tells nothing.',
    words: YES_NO,
  },
  'strip.tension': {
    name: 'tension of the chain as it came',
    field: 'Tension as it came',
    hint: 'Before anything is loosened: a chain that comes off is first of all slack.',
    words: { slack: 'slack', right: 'right', tight: 'too tight' },
  },
  'refit.done': {
    name: 'acts of putting it back on',
    words: {
      'tensioner-back': 'New sprocket: tensioner all the way back first',
      'other-edge-down': 'Bar turned over: the other edge down than came',
      'port-clear': 'Oil port clear on the side that faces the pump now',
      'cutters-forward': 'Chain on, cutters on top facing the nose',
      'pin-in-hole': 'Bar forward, the screw turned until its pin drops into the bar’s hole',
      'nuts-finger-tight': 'Nuts finger tight',
      tension:
        'Nose held up: it lifts midway, by one drive link at most, about 12 mm, and snaps back; what lifts nothing is too tight',
      'nuts-evenly': 'Nose still up: tighten the nuts evenly',
      'runs-by-hand': 'It pulls round by hand, gloves on',
      'tension-again': 'New chain: after the first minutes, tension looked at again',
      'oil-flies': 'Oil flies off the nose onto a pale surface',
    },
  },
  'refit.lift': { name: 'lift at mid-bar', field: 'Lift at mid-bar' },
  'proof.oil': {
    name: 'oil at the nose',
    field: 'At the nose, over a pale surface',
    hint: 'Nose close over a stump or card, chain running: a line of oil must show.',
    words: { flies: 'flies', none: 'none' },
  },
  'proof.cut.depth': { name: 'depth of the test cut', field: 'Depth of the cut', example: '300' },
  'proof.cut.drift': {
    name: 'drift of the test cut',
    field: 'Drift at full depth',
    hint: 'Off the square line from where it began.',
    example: '4',
  },
  'proof.cut.side': {
    name: 'side of the drift',
    field: 'Which side',
    hint: 'Seen along the saw.',
    words: { left: 'left', right: 'right', none: 'straight' },
  },
  'proof.swarf': { name: 'what it throws', field: 'Chips or dust', words: { chips: 'chips', dust: 'dust' } },
  setAside: 'evidence set aside',
} as const satisfies SomeReadingWords;

/** Groups and lists of them, as one points at them in a sentence. */
export const TAKE_IN_PLACES = {
  job: 'what the customer says',
  saw: 'the saw',
  'saw.checks': 'the guards of the saw',
  'saw.turnLog': 'the log of turning over',
  refit: 'putting the parts back on',
  proof: 'the proof',
  'proof.cut': 'the test cut',
} as const satisfies Partial<Record<GroupId, string>>;
