import { useState } from 'react';
import { numberOf, type Identified, type IdentifiedPart, type IdentifiedProperty } from '../../../core/identify';
import {
  identifiedPartName,
  identifiedPartShort,
  identifiedPropertyName,
  identityReason,
  numberValue,
  onMarkSentence,
  sentence,
  settlingSentence,
} from '../../../wording';
import { useFrame } from '../../frame/frame-context';
import { useJob } from '../store/JobContext';
import * as texts from '#language/screens/job-identify';

/** Candidates lighter than this are not worth a place on the card. */
const SHOWN_WEIGHT = 0.01;

const PARTS: readonly IdentifiedPart[] = ['chain', 'bar', 'driveSprocket', 'nose'];
const PROPERTIES: readonly IdentifiedProperty[] = ['pitch', 'gauge', 'driveLinks'];

const STATUS = {
  settled: { word: texts.settled, look: 'border-leaf bg-leaf-pale', tone: 'text-leaf' },
  open: { word: texts.open, look: 'border-steel bg-steel-pale', tone: 'text-steel' },
  conflict: { word: texts.contradicted, look: 'border-oxide bg-oxide-pale', tone: 'text-oxide' },
} as const;

/** The numbers of one part: each its value or its candidates, why, and what would settle it. */
export function NumberCards() {
  const { appraisal } = useJob();
  const [part, setPart] = useState<IdentifiedPart>('chain');
  return (
    <div className="mb-2 grid grid-cols-[6.2rem_minmax(0,1fr)] gap-3 max-lg:grid-cols-1">
      <div role="group" aria-label={texts.numbersOf} className="grid content-start gap-1 max-lg:grid-flow-col">
        {PARTS.map((each) => (
          <button
            key={each}
            type="button"
            aria-pressed={part === each}
            className="min-h-8 rounded-[3px] border border-line-strong bg-sheet px-2 text-left text-sm font-semibold aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-sheet max-lg:min-h-11"
            onClick={() => setPart(each)}
          >
            {identifiedPartShort[each]}
          </button>
        ))}
      </div>
      <div className="grid grid-cols-3 gap-3 max-md:grid-cols-1">
        {PROPERTIES.map((property) => {
          const number = numberOf(appraisal.identity, part, property);
          return number && <NumberCard key={property} part={part} property={property} number={number} />;
        })}
      </div>
    </div>
  );
}

function NumberCard({
  part,
  property,
  number,
}: {
  part: IdentifiedPart;
  property: IdentifiedProperty;
  number: Identified<string | number>;
}) {
  const { unit } = useFrame();
  const { word, look, tone } = STATUS[number.status];
  const title = sentence(identifiedPropertyName[property]);
  const open = number.candidates
    .filter(({ weight }) => weight >= SHOWN_WEIGHT)
    .slice(0, 3)
    .map(({ value, weight }) => `${numberValue(property, value)} ${Math.round(weight * 100)} %`);
  const said = number.why.map((reason) => identityReason(reason, unit));
  return (
    <section aria-label={`${title}: ${word}`} className={`border-t-4 px-3 py-1.5 ${look}`}>
      <p className="flex justify-between gap-2 text-sm">
        <span className="leading-tight font-semibold">{texts.ofThe(title, identifiedPartName[part])}</span>
        <span className={`font-bold ${tone}`}>{word}</span>
      </p>
      <p className="figures text-[19px] leading-snug font-bold whitespace-nowrap">
        {number.value === null ? (open.length > 0 ? '?' : '–') : numberValue(property, number.value)}
      </p>
      {number.value === null && open.length > 0 && <p className="figures text-sm">{open.join(' · ')}</p>}
      <p className="line-clamp-2 text-sm" title={said.join(' ')}>
        {said.join(' ')}
      </p>
      {number.onMark && (
        <p className="mt-0.5 text-sm font-semibold text-brass">{onMarkSentence(number.onMark, unit)}</p>
      )}
      {number.settledBy && <p className="mt-0.5 text-sm font-semibold">{settlingSentence(number.settledBy)}</p>}
    </section>
  );
}
