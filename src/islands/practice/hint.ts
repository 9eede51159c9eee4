import type { HintView } from '../../contract';
import { readingNameAt } from '../../wording';
import * as texts from '#language/screens/practice';

/** A hint, in words. */
export const hintText = ({ measure, at }: HintView): string =>
  measure === null
    ? texts.hintNone
    : texts.hintNext(readingNameAt(measure, at === null ? null : `${Math.round(at)} mm`));
