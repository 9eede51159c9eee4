import { useState } from 'react';
import { ArrowRight } from 'lucide-react';
import { type CauseStanding, type Diagnosis, partOfCause } from '../../../core/symptom';
import { Tabbed, TabList, TabPanel } from '../../../ui/parts/Tabs';
import {
  AILMENTS,
  becauseOf,
  CROOKED_HERE,
  inSentence,
  NOTHING_EXPLAINS,
  partName,
  readingName,
  schoolAnswer,
  schoolName,
  sentence,
  symptomName,
} from '../../../wording';
import {
  aggravatedSentence,
  evidenceBecause,
  foundSentence,
  notLookedAtSentence,
  togetherSentence,
} from '../../../wording/causes';
import { useFrame } from '../../frame/frame-context';
import { Field } from '../parts/Field';
import { Group, StepHead } from '../parts/StepHead';
import type { StepProps } from '../step-props';
import { useJob } from '../store/JobContext';
import * as common from '#language/screens/common';
import * as texts from '#language/screens/job-why';

/** Causes lighter than this are listed in one line. */
const LIGHT = 0.02;

/**
 * What ails it: each symptom of the complaint with its causes, what speaks for and against them, both schools, and the
 * check that separates the two in front.
 */
export default function WhyStep({ onMeasure }: StepProps) {
  const { appraisal } = useJob();
  const { diagnoses } = appraisal;
  const [opened, setOpened] = useState<string | null>(null);
  const [hasRoom] = useState(() => window.matchMedia('(width >= 48rem)').matches);
  const chosen = diagnoses.find(({ symptom }) => symptom === opened) ?? diagnoses[0];
  return (
    <>
      <StepHead title={texts.whatAilsIt}>
        <p className="text-sm text-ink-soft">{texts.sharesOfTheComplaint}</p>
      </StepHead>
      {chosen ? (
        <Tabbed chosen={chosen.symptom} onChoose={setOpened}>
          <TabList
            label={texts.symptoms}
            tabs={diagnoses.map(({ symptom }) => ({ id: symptom, name: sentence(symptomName(symptom)) }))}
          />
          <TabPanel of={chosen.symptom}>
            <Causes diagnosis={chosen} onMeasure={onMeasure} />
          </TabPanel>
        </Tabbed>
      ) : (
        <p className="mb-3 max-w-prose">{texts.noSymptomIsSaid}</p>
      )}
      {/* What was complained of is said once: on a phone it is laid open by who means to change it. */}
      <details open={!chosen || hasRoom} className="border-t border-line">
        <summary className="min-h-11 py-2.5 font-bold">{texts.theComplaintAsSymptoms}</summary>
        <Field path="job.symptoms" />
      </details>
    </>
  );
}

function Causes({ diagnosis, onMeasure }: { diagnosis: Diagnosis } & Pick<StepProps, 'onMeasure'>) {
  const { causes, next, otherSchool, unexplainedShare } = diagnosis;
  const heavy = causes.filter(({ share }) => share >= LIGHT);
  const light = causes.filter(({ share }) => share < LIGHT);
  const together = togetherSentence(diagnosis);
  const before = heavy.filter(({ share }) => share > unexplainedShare);
  const cause = (standing: CauseStanding) => (
    <Cause
      key={standing.cause}
      standing={standing}
      diagnosis={diagnosis}
      other={otherSchool?.causes.find((each) => each.cause === standing.cause)?.share ?? null}
    />
  );
  return (
    <>
      {next ? (
        <section
          aria-label={texts.nextCheck}
          className="my-2 flex flex-wrap items-center gap-3 border-y-2 border-ink bg-sheet px-3 py-2"
        >
          <p className="min-w-0 flex-1">
            <strong>{sentence(readingName(next.measure))}</strong>{' '}
            {texts.findsOrClears(inSentence(AILMENTS[next.about].name))}{' '}
            <span className="figures text-sm text-ink-soft">{texts.minutesLong(next.minutes)}</span>
          </p>
          <button type="button" className="flex act items-center gap-2" onClick={() => onMeasure(next.measure)}>
            {texts.goThere}
            <ArrowRight size={16} aria-hidden="true" />
          </button>
        </section>
      ) : (
        <p className="my-2 border-y border-line py-2">{texts.nothingLeftToLook}</p>
      )}
      {together && <p className="my-2 max-w-prose font-semibold">{together}</p>}
      <ol aria-label={texts.causes}>
        {before.map(cause)}
        {unexplainedShare >= LIGHT && <Unexplained diagnosis={diagnosis} />}
        {heavy.slice(before.length).map(cause)}
      </ol>
      {light.length > 0 && (
        <p className="border-t border-line py-2 text-sm text-ink-soft">
          {texts.hardly(light.map((each) => inSentence(AILMENTS[each.cause].name)).join('; '))}
        </p>
      )}
      {otherSchool && <Schools other={otherSchool.school} />}
    </>
  );
}

const percent = (value: number) => `${Math.round(100 * value)}\u00a0%`;

/** What none of the causes explains: a row like theirs, with what nobody has looked at yet. */
function Unexplained({ diagnosis }: { diagnosis: Diagnosis }) {
  return (
    <li className="grid grid-cols-[5.5rem_minmax(0,1fr)] gap-x-4 border-t border-line py-2">
      <p className="figures text-2xl leading-tight font-bold">{percent(diagnosis.unexplainedShare)}</p>
      <div className="min-w-0">
        <p className="font-bold">{NOTHING_EXPLAINS}</p>
        <ShareBar share={diagnosis.unexplainedShare} look="bg-steel" />
        <p className="text-sm text-ink-soft">{notLookedAtSentence(diagnosis)}</p>
      </div>
    </li>
  );
}

function ShareBar({ share, look = 'bg-ink' }: { readonly share: number; readonly look?: string }) {
  return (
    <div aria-hidden="true" className="my-1 h-2 bg-well">
      <div className={`h-full ${look}`} style={{ width: `${100 * share}%` }} />
    </div>
  );
}

/**
 * One cause: its share as a bar and a figure, how likely it is there at all, why it may be, and the evidence on both
 * sides.
 */
function Cause({
  standing,
  diagnosis,
  other,
}: {
  standing: CauseStanding;
  diagnosis: Diagnosis;
  /** Its share to the other school; null where the schools do not differ. */
  other: number | null;
}) {
  const { unit } = useFrame();
  const { cause, share, present, aggravatedBy, for: likelier, against } = standing;
  return (
    <li className="grid grid-cols-[5.5rem_minmax(0,1fr)] gap-x-4 border-t border-line py-2">
      <div>
        <p className="figures text-2xl leading-tight font-bold">{percent(share)}</p>
        <p className="text-xs text-ink-soft">
          {texts.thereBeforehand} <span className="figures">{percent(present)}</span>
        </p>
        {other !== null && (
          <p className="text-xs text-ink-soft">
            {texts.otherSchool} <span className="figures">{percent(other)}</span>
          </p>
        )}
      </div>
      <div className="min-w-0">
        <p className="flex flex-wrap items-baseline justify-between gap-x-3">
          <span className="font-bold">{AILMENTS[cause].name}</span>
          <span className="text-sm text-ink-soft">{partName[partOfCause(cause)]}</span>
        </p>
        <ShareBar share={share} />
        <p className="text-sm text-ink-soft">
          {becauseOf(cause, diagnosis.symptom)} {aggravatedSentence(aggravatedBy)}
        </p>
        <ul className="mt-1 grid gap-0.5 text-sm">
          {likelier.map((found) => (
            <li key={found.id} title={evidenceBecause[found.id]} className="flex gap-2">
              <span className="w-16 shrink-0 font-bold text-brass">{texts.speaks}</span>
              <span>{foundSentence(found, unit)}</span>
            </li>
          ))}
          {against.map((found) => (
            <li key={found.id} title={evidenceBecause[found.id]} className="flex gap-2">
              <span className="w-16 shrink-0 font-bold text-steel">{texts.speaksAgainst}</span>
              <span>{foundSentence(found, unit)}</span>
            </li>
          ))}
        </ul>
      </div>
    </li>
  );
}

/** Both schools on curved cuts, and what the shop follows. */
function Schools({ other }: { other: keyof typeof CROOKED_HERE }) {
  const { view } = useJob();
  const here = view.schools.curvedCuts;
  return (
    <Group title={common.practitionersDisagree} aside={schoolName.curvedCuts}>
      <p className="text-sm">{CROOKED_HERE[here]}</p>
      <p className="text-sm text-ink-soft">{texts.theOtherSchoolWeighsThem(schoolAnswer.curvedCuts[other])}</p>
    </Group>
  );
}
