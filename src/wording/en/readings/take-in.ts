import { GUARD, YES_NO } from './shared';
import type { SomeReadingWords } from './reading-words';

/** Words for what can be said of the customer, the saw, and the acts of taking it apart and cleaning it. */
export const TAKE_IN_WORDS = {
  'job.reference': 'reference of the job',
  'job.symptoms': {
    name: 'symptoms',
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
    words: {
      bucking: 'bucking',
      limbing: 'limbing',
      milling: 'milling, ripping',
      felling: 'felling',
      rescue: 'rescue',
    },
  },
  'job.operatorTrained': { name: 'who runs the saw', words: { yes: 'trained', no: 'not trained' } },
  'job.brought': {
    name: 'what was brought',
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
    words: { hand: 'file, free hand', guide: 'file with a guide', grinder: 'grinder', never: 'never' },
  },
  'job.kickbackChoice': 'why standard chain was chosen',
  'job.turnOver': {
    name: 'how often the bar is turned over',
    words: {
      never: 'never',
      sometimes: 'now and then',
      'every-chain': 'every chain',
      'every-sharpening': 'every sharpening',
    },
  },
  'job.complaint': 'what the customer says',
  'saw.label': 'name of the saw',
  'saw.mount': 'mount of the saw',
  'saw.oilHole': 'oil-hole pattern of the saw',
  'saw.maxRpm': 'top speed of the saw',
  'saw.checks.chainCatcher': { name: 'chain catcher of the saw', words: GUARD },
  'saw.checks.rearGuard': { name: 'rear guard of the saw', words: GUARD },
  'saw.turnLog.came': 'the edge that came down, at an earlier service',
  'saw.turnLog.went': 'the edge that went back down, at an earlier service',
  'saw.sameBar': { name: 'whether it is the same bar', words: YES_NO },
  'strip.done': {
    name: 'acts of stripping',
    words: {
      'power-off': 'Battery out, or spark lead off',
      gloves: 'Gloves on: a worn rail cuts like a knife',
      'brake-off': 'Chain brake off',
      'cover-off': 'Cover off',
      'tension-back': 'Tensioner back',
      'bar-off': 'Chain and bar off; note which edge was down',
    },
  },
  'strip.tension': {
    name: 'tension of the chain as it came',
    words: { slack: 'slack', right: 'right', tight: 'too tight' },
  },
  'clean.done': {
    name: 'acts of cleaning',
    words: {
      'rake-groove': 'Rake the groove: begin at the nose end and pull away from it',
      'clear-oil-holes': 'Clear both oil holes',
      'wipe-resin': 'Wipe off the resin',
      'blow-out': 'Blow out, away from the nose',
      'light-under': 'A light under the bar: the floor shows',
    },
  },
  'refit.done': {
    name: 'acts of putting it back on',
    words: {
      'tensioner-back': 'Tensioner back; for a new sprocket, all the way',
      'other-edge-down': 'Bar turned over: the other edge down than came',
      'cutters-forward': 'Chain on, cutters on top facing the nose',
      'pin-in-hole': 'Tensioner pin in its hole',
      'nuts-finger-tight': 'Nuts finger tight',
      tension: 'Nose held up: it lifts midway by one drive link at most, about 12 mm, and snaps back',
      'nuts-evenly': 'Nose still up: tighten the nuts evenly',
      'runs-by-hand': 'It pulls round by hand, gloves on',
      'oil-flies': 'Oil flies off the nose onto a pale surface',
    },
  },
  setAside: 'evidence set aside',
} as const satisfies SomeReadingWords;
