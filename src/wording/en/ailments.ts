import type { Cause, Diagnosis, Symptom, SymptomOf } from '../../core/symptom';
import { READING_WORDS } from './readings';

interface Ailment<C extends Cause> {
  readonly name: string;
  /** Why a symptom may come of it. */
  readonly because: Readonly<Record<SymptomOf<C>, string>>;
  /** How it makes another cause bring a complaint about more often: the mechanism in a sentence. */
  readonly makesWorse?: string;
}

const FORCED =
  'feed is slow and force is great, so the chain leans further and cuts sideways: a worn or leaning bar steers most then.';

/** What may ail a saw. */
export const AILMENTS: { readonly [C in Cause]: Ailment<C> } = {
  'groove-worn': {
    name: 'The groove is worn',
    because: {
      'cuts-curved-left': 'A chain that can rock in its groove takes its own way. As usual a find as rails.',
      'cuts-curved-right': 'A chain that can rock in its groove takes its own way. As usual a find as rails.',
      'chain-comes-off': 'A groove that no longer guides the chain lets it climb out.',
      'needs-force': 'A rocking chain cuts badly.',
      'eats-chains': 'A rocking chain wears itself and the bar.',
      vibrates: 'In a worn groove the chain rattles from wall to wall.',
      stalls: 'Held to the line, a rocking chain binds in its kerf.',
    },
    makesWorse: 'Made worse by the worn groove: a chain that rocks while it is filed on the bar gets wrong angles.',
  },
  'rails-unlevel': {
    name: 'The rails are not level',
    because: {
      'cuts-curved-left':
        'The chain leans toward the low rail, and the cut follows it. The usual find on a bar that was never dressed.',
      'cuts-curved-right':
        'The chain leans toward the low rail, and the cut follows it. The usual find on a bar that was never dressed.',
      'needs-force': 'A leaning chain binds in its own kerf.',
      stalls: 'Held to the line, a leaning chain binds in the curve that it wants to cut.',
    },
  },
  'bar-bent': {
    name: 'The bar is bent',
    because: {
      'cuts-curved-left': 'A bent bar steers. Seen at once when one sights along it, and seldom.',
      'cuts-curved-right': 'A bent bar steers. Seen at once when one sights along it, and seldom.',
      'chain-comes-off': 'A bent bar throws a chain; seldom.',
      stalls: 'A bent bar binds in a straight cut.',
    },
  },
  'tip-worn': {
    name: 'The bar is worn close behind the nose',
    because: {
      'chain-comes-off': 'Worn close behind the nose from limbing, the rails let the chain go where it turns.',
    },
  },
  'rails-rough': {
    name: 'The rail tops are rough',
    because: {
      'eats-chains': 'Rough rail tops file the straps down from below.',
    },
  },
  'groove-pinched': {
    name: 'The groove is pinched',
    because: {
      'runs-hot': 'A pinched place rubs the links on both sides.',
      stalls: 'A pinched groove holds the chain.',
    },
  },
  'groove-packed': {
    name: 'The groove is packed with dirt',
    because: {
      'runs-hot': 'A packed groove carries no oil round.',
      'will-not-oil': 'A packed groove lets no oil past.',
    },
  },
  'link-on-floor': {
    name: 'The drive link rubs on the floor',
    because: {
      'runs-hot': 'A link on the floor rubs all the way round.',
      'needs-force': 'A link on the floor eats the power.',
      'eats-chains': 'The floor wears the tangs.',
      stalls: 'A link on the floor eats the power.',
    },
  },
  'oil-blocked': {
    name: 'The oil holes are blocked',
    because: {
      'runs-hot': 'No oil is what burns most bars.',
      'eats-chains': 'Dry straps wear on the rails and dry rivets in their holes.',
      'will-not-oil': 'The holes are what packs first. The usual find.',
    },
  },
  'oil-hole-differs': {
    name: 'The bar’s oil hole is not where the saw’s is',
    because: {
      'runs-hot': 'Oil that meets no hole runs down outside.',
      'will-not-oil': 'A bar made for another saw may miss its oil.',
    },
  },
  'tensioner-hole-torn': {
    name: 'The tensioner hole is torn',
    because: {
      'will-not-take-up-tension': 'The pin slips out of a torn hole.',
    },
  },
  'nose-failing': {
    name: 'The nose does not turn as it should',
    because: {
      'chain-comes-off': 'A nose that stops throws the chain.',
      'runs-hot': 'A stiff nose drags the chain.',
      'eats-chains': 'A stiff nose wears straps and links.',
    },
  },
  'nose-worn': {
    name: 'The nose is worn',
    because: {
      'chain-comes-off': 'Worn or missing teeth at the nose let go of the links.',
      vibrates: 'A loose nose rattles.',
    },
  },
  'cutters-uneven': {
    name: 'The cutters are uneven',
    because: {
      'cuts-curved-left':
        'The longer side cuts more and draws the cut. One school finds this oftenest with hand filers, the other found gross unevenness to cut straight.',
      'cuts-curved-right':
        'The longer side cuts more and draws the cut. One school finds this oftenest with hand filers, the other found gross unevenness to cut straight.',
      vibrates: 'Uneven cutters cut by turns.',
      stalls: 'The longer side pulls away from the line, and being held back it binds.',
    },
  },
  'cutters-dull': {
    name: 'The cutters are dull',
    because: {
      'cuts-curved-left': 'Where one side has met stone, the other side cuts alone.',
      'cuts-curved-right': 'Where one side has met stone, the other side cuts alone.',
      'runs-hot': 'A dull chain is pushed, and pushing heats.',
      'fine-dust': 'A dull edge scrapes. The usual find.',
      'needs-force': 'A sharp chain pulls itself in; a dull one must be pushed.',
      stalls: 'Pushed hard it stops before it cuts.',
    },
    makesWorse: `Made worse by a dull chain: ${FORCED}`,
  },
  'chain-blunt-forced': {
    name: 'The chain is blunt and gets forced',
    because: {
      'chain-comes-off': 'A blunt chain is forced, and jumps.',
    },
  },
  'cutters-hooked': {
    name: 'The cutters are hooked',
    because: {
      vibrates: 'Hooked cutters grab.',
    },
  },
  'cutters-blunt': {
    name: 'The cutters slope back under the edge',
    because: {
      'fine-dust': 'A blunt side plate scrapes.',
      'needs-force': 'A blunt side plate does not bite.',
    },
  },
  'depth-gauges-high': {
    name: 'The depth gauges stand too high',
    because: {
      'runs-hot': 'It cuts little and is pushed for it.',
      'fine-dust': 'Gauges that stand high let the cutters take dust only, however sharp they are.',
      'needs-force': 'Gauges that stand high hold the cutters off the wood.',
      stalls: 'Held off the wood it is pushed until it stops.',
    },
    makesWorse: `Made worse by depth gauges left high: ${FORCED}`,
  },
  'depth-gauges-low': {
    name: 'The depth gauges stand too low',
    because: {
      vibrates: 'Gauges that stand low let the cutters grab.',
      stalls: 'Cutters that grab stop the motor.',
    },
  },
  'depth-gauges-uneven': {
    name: 'The depth gauges are uneven, left and right',
    because: {
      'cuts-curved-left': 'The side whose gauges stand lower bites deeper and draws the cut.',
      'cuts-curved-right': 'The side whose gauges stand lower bites deeper and draws the cut.',
    },
  },
  'chain-slack': {
    name: 'The chain runs slack',
    because: {
      'chain-comes-off': 'A chain that comes off is first of all slack.',
      'eats-chains': 'A slack chain hammers its straps.',
      vibrates: 'A slack chain whips.',
    },
  },
  'tension-tight': {
    name: 'The chain runs too tight',
    because: {
      'runs-hot': 'Too tight, it drags round the nose.',
      'needs-force': 'Too tight, it drags.',
    },
  },
  'chain-stretched': {
    name: 'The chain has grown',
    because: {
      'chain-comes-off': 'A chain that grew goes slack again and again, and rides up on the teeth.',
      'will-not-take-up-tension': 'A chain that grew uses up the travel.',
    },
  },
  'chain-thin-for-groove': {
    name: 'The chain is too thin for the groove',
    because: {
      'cuts-curved-left': 'A thin chain looks right in a wide groove, and rocks.',
      'cuts-curved-right': 'A thin chain looks right in a wide groove, and rocks.',
      'chain-comes-off': 'A thin chain wanders in its groove.',
      'eats-chains': 'A thin chain rocks itself worn.',
      vibrates: 'A thin chain rattles in a wide groove.',
    },
  },
  'links-differ': {
    name: 'The chain has another number of links than the bar takes',
    because: {
      'will-not-take-up-tension': 'A chain with a link too many never comes tight.',
    },
  },
  'tangs-burred': {
    name: 'The tangs are burred',
    because: {
      'chain-comes-off': 'A chain that came off once has burrs that climb out again.',
    },
  },
  'tight-joints': {
    name: 'Joints are tight',
    because: {
      'runs-hot': 'Tight joints bend hard round nose and sprocket.',
      vibrates: 'Each tight joint knocks as it goes round.',
    },
  },
  'adjuster-at-end': {
    name: 'The tensioner is at its end',
    because: {
      'chain-comes-off': 'With the tensioner at its end nothing takes up the slack.',
      'will-not-take-up-tension': 'The loop is longer than the travel takes.',
    },
  },
  'sprocket-worn': {
    name: 'The drive sprocket is worn',
    because: {
      'chain-comes-off': 'Worn teeth let the links ride up.',
      'needs-force': 'A worn sprocket pulls unevenly and cuts slowly.',
      'eats-chains': 'A worn sprocket ruins the drive links of each chain that follows.',
      vibrates: 'Worn teeth pull by jerks.',
      'will-not-take-up-tension': 'A worn sprocket is a smaller one.',
    },
  },
  'sprocket-pitch-differs': {
    name: 'The drive sprocket is of another pitch',
    because: {
      'chain-comes-off': 'Links of another pitch climb the teeth.',
      'eats-chains': 'A wrong pitch hammers every link.',
      vibrates: 'A wrong pitch hammers.',
    },
  },
  'bearing-worn': {
    name: 'The sprocket’s bearing is worn',
    because: {
      vibrates: 'A worn bearing lets the sprocket wobble.',
    },
  },
};

/** What leads where everything was looked at and cleared. */
export const NOTHING_EXPLAINS = 'Nothing found explains it';

/** What leads in a complaint: its heaviest cause, or that nothing found explains it. */
export function leadOf({ causes, unexplainedShare }: Pick<Diagnosis, 'causes' | 'unexplainedShare'>): {
  readonly share: number;
  readonly name: string;
} {
  const [first] = causes;
  return first && first.share >= unexplainedShare
    ? { share: first.share, name: AILMENTS[first.cause].name }
    : { share: unexplainedShare, name: NOTHING_EXPLAINS };
}

/** A symptom as one points at it: `fine dust, no chips`. */
export const symptomName = (symptom: Symptom): string => READING_WORDS['job.symptoms'].words[symptom];

/** Why a symptom may come of a cause, whichever of the two is asked about. */
export const becauseOf = (cause: Cause, symptom: Symptom): string =>
  (AILMENTS[cause].because as Readonly<Partial<Record<Symptom, string>>>)[symptom] ?? '';
