import type { Option } from '../../ui/parts/Choice';

const options = (words: Readonly<Record<string, string>>): readonly Option[] =>
  Object.entries(words).map(([value, label]) => ({ value, label }));

/** Words to choose from, by the place of the sheet they belong to. */
export const OPTIONS = {
  symptoms: options({
    'cuts-curved-left': 'cuts in a curve, left',
    'cuts-curved-right': 'cuts in a curve, right',
    'chain-comes-off': 'chain comes off',
    'runs-hot': 'smokes or runs hot',
    'fine-dust': 'fine dust, no chips',
    'needs-force': 'needs pushing',
    'eats-chains': 'eats chains',
    vibrates: 'vibrates',
    'will-not-oil': 'will not oil',
    'will-not-take-up-tension': 'will not take up tension',
  }),
  use: options({
    bucking: 'bucking',
    limbing: 'limbing',
    milling: 'milling, ripping',
    felling: 'felling',
    rescue: 'rescue',
  }),
  trained: options({ yes: 'trained', no: 'not trained' }),
  turnOver: options({
    never: 'never',
    sometimes: 'now and then',
    'every-chain': 'every chain',
    'every-sharpening': 'every sharpening',
  }),
  crack: options({ no: 'none found', yes: 'cracked', unsure: 'not sure' }),
  blueing: options({ no: 'none', light: 'light', heavy: 'heavy' }),
  slot: options({ ok: 'sound', worn: 'worn', wallowed: 'wallowed out' }),
  oilHoles: options({ clear: 'clear', blocked: 'blocked' }),
  groove: options({ clean: 'clean', packed: 'packed' }),
  nose: options({ sprocket: 'sprocket', hard: 'hard' }),
  yesNo: options({ yes: 'yes', no: 'no' }),
  noseTurns: options({ free: 'freely', rough: 'roughly', seized: 'seized' }),
  tipPlay: options({ none: 'none', slight: 'slight', loose: 'loose' }),
  straightEdge: options({ 'gap-stays': 'gap stays', 'gap-closes': 'gap closes', 'passes-beyond': 'passes beyond' }),
  construction: options({ laminated: 'laminated', solid: 'solid' }),
  burr: options({ none: 'none', felt: 'felt', heavy: 'heavy' }),
  chassis: options({ small: 'small', large: 'large' }),
  kickback: options({ 'low-kickback': 'low-kickback', standard: 'standard' }),
  sequence: options({ 'full-complement': 'full complement', 'semi-skip': 'semi-skip', 'full-skip': 'full skip' }),
  straps: options({ none: 'clean', light: 'lightly peened', heavy: 'burred' }),
  sprocketType: options({ spur: 'spur', rim: 'rim and drum' }),
  pitchMark: options({
    quarter: '1/4',
    '325': '.325',
    '38lp': '3/8 LP',
    '38': '3/8 standard',
    '3/8': '3/8, not said which',
    '404': '.404',
  }),
} as const;
