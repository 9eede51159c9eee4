import type { Study, StudyFlaw, StudyResult } from '../../core/hand';
import { INSTRUMENTS, type InstrumentId } from '../../core/quantity';
import { instrumentName } from './instruments';
import { sentence } from './sentence';

/** Lengths of hands and tools are small: so many decimals show them. */
const fine = (value: number): string => `${value.toFixed(3)} mm`;

/** What is trusted of a tool where nobody has measured it. */
export function instrumentSentence(id: InstrumentId): string {
  const { resolution, maxError, placing } = INSTRUMENTS[id];
  return `Read to ${resolution} mm, right within ${maxError} mm, placed to ${placing} mm: common practice, no source.`;
}

export const instrumentTitle = (id: InstrumentId): string => sentence(instrumentName(id));

/** Where the figures of a reading come from. */
export const studySource = ({ by, on }: Pick<Study, 'by' | 'on'>): string => `measured: a study of ${by} on ${on}`;

/** The standard deviation of one take, with the interval that it lies in. */
export function scatterSentence({ takes, sd, between }: StudyResult): string {
  if (!between) return 'One take shows no scatter.';
  return `One take scatters by ${fine(sd)}, and between ${fine(between[0])} and ${fine(between[1])} with 95 % by ${takes} takes.`;
}

/** A bias smaller than this is shown as none, mm. */
const NO_BIAS = 0.0005;

/**
 * What the tool shows too much or too little.
 * @param counts whether readings are put right by it
 */
export function biasSentence({ bias }: StudyResult, counts: boolean): string {
  if (!bias) return 'No block of known size: nothing is known of the tool’s own error but what is usual.';
  const doubt = `± ${fine(2 * bias.u)}`;
  if (Math.abs(bias.value) < NO_BIAS) return `It shows the size of the block, ${doubt}.`;
  const shown = `It shows ${fine(Math.abs(bias.value))} ${doubt} too ${bias.value > 0 ? 'much' : 'little'}`;
  return counts ? `${shown}; readings of this hand are put right by that.` : `${shown}.`;
}

/** What must be said against a study. */
export function flawSentence(flaw: StudyFlaw): string {
  switch (flaw.code) {
    case 'too-few':
      return `Too few takes to count: ${flaw.needed} or more are needed.`;
    case 'not-believed':
      return `The tool would be ${fine(Math.abs(flaw.by))} off: look at the size of the block, and at the tool. This study does not count.`;
    case 'few':
      return 'Few takes: ten would tell the scatter better.';
    case 'no-scatter':
      return 'Every take is the same: the step of the tool hides what the hand does. Its step is counted instead.';
    case 'stray':
      return `Take ${flaw.take} lies far from all others: a slip? Study it again.`;
    case 'old':
      return `${flaw.days} days old: hands change and tools wear. Study it again.`;
    case 'biased':
      return `The tool is ${fine(Math.abs(flaw.by))} off, more than it is trusted with: have it adjusted.`;
    case 'scatters':
      return `This hand scatters ${flaw.times.toFixed(1)} times as much as is usual with this tool.`;
  }
}
