import type { Cause, Diagnosis, Symptom } from '../../core/symptom';
import { READING_WORDS } from './readings';

/** What may ail a saw, by name. */
export const ailmentName: Record<Cause, string> = {
  'groove-worn': 'The groove is worn',
  'rails-unlevel': 'The rails are not level',
  'bar-bent': 'The bar is bent',
  'tip-worn': 'The bar is worn close behind the nose',
  'rails-rough': 'The rail tops are rough',
  'groove-pinched': 'The groove is pinched',
  'groove-packed': 'The groove is packed with dirt',
  'link-on-floor': 'The drive link rubs on the floor',
  'oil-blocked': 'The oil holes are blocked',
  'oil-hole-differs': 'The bar’s oil hole is not where the saw’s is',
  'tensioner-hole-torn': 'The tensioner hole is torn',
  'nose-failing': 'The nose does not turn as it should',
  'nose-worn': 'The nose is worn',
  'cutters-uneven': 'The cutters are uneven',
  'cutters-dull': 'The cutters are dull',
  'chain-blunt-forced': 'The chain is blunt and gets forced',
  'cutters-hooked': 'The cutters are hooked',
  'cutters-blunt': 'The cutters slope back under the edge',
  'depth-gauges-high': 'The depth gauges stand too high',
  'depth-gauges-low': 'The depth gauges stand too low',
  'depth-gauges-uneven': 'The depth gauges are uneven, left and right',
  'chain-slack': 'The chain runs slack',
  'tension-tight': 'The chain runs too tight',
  'chain-stretched': 'The chain has grown',
  'chain-thin-for-groove': 'The chain is too thin for the groove',
  'links-differ': 'The chain has another number of links than the bar takes',
  'tangs-burred': 'The tangs are burred',
  'tight-joints': 'Joints are tight',
  'adjuster-at-end': 'The tensioner is at its end',
  'sprocket-worn': 'The drive sprocket is worn',
  'sprocket-pitch-differs': 'The drive sprocket is of another pitch',
  'bearing-worn': 'The sprocket’s bearing is worn',
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
    ? { share: first.share, name: ailmentName[first.cause] }
    : { share: unexplainedShare, name: NOTHING_EXPLAINS };
}

/** A symptom as one points at it: `fine dust, no chips`. */
export const symptomName = (symptom: Symptom): string => READING_WORDS['job.symptoms'].words[symptom];
