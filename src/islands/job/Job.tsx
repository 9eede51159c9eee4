import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { stepRow, STEPS, type Part, type Step } from '../../core/reading';
import type { JobView } from '../../contract';
import { nextStep } from '../../core/workflow';
import { isReadingPath, readingAt } from '../../core/sheet';
import { stationOf, stationPath } from '../../core/declared';
import { drawInTurn } from '../../ui/parts/paint';
import { Plates } from '../../ui/parts/Plates';
import { focusFirst, focusNextStep } from '../frame/focus';
import { whenIdle } from '../frame/idle';
import { useKeys } from '../frame/keys';
import { WhereTroubleEnds } from '../frame/Trouble';
import { jointsOf, platesOf, setJointsOf } from './plates';
import { destinationOf } from './places';
import { firstStep, goesOn } from './first-step';
import { Gone } from './hand-over/Reopen';
import { JobLayout } from './JobLayout';
import { useSayHere } from './others/use-say-here';
import { OpeningSteps, OpeningTag } from './Opening';
import { StepList } from './StepList';
import { fetchStepsAhead, STEP_VIEWS } from './steps';
import type { Measuring } from './step-props';
import { useJob, useJobStore } from './store/JobContext';
import { useGoTo } from './use-go-to';
import { useKept } from './store/use-kept';
import { keyFor, stationRows } from './bar/stations';
import { Tag } from './tag/Tag';
import { TargetContext } from './target';
import * as texts from '#language/screens/job';

/** How often, and how long after one another, a field is looked for whose view is still being fetched, ms. */
const LOOKS = 40;
const PAUSE = 50;

/** Takes the caret to the next thing to do in the step that is shown, once for every wish. */
function useGoToFirst(begins: boolean): () => void {
  const [wishes, setWishes] = useState(begins ? 1 : 0);
  useEffect(() => {
    if (wishes === 0) return;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = (left: number) => {
      const zone = document.querySelector('[data-zone=step]');
      if (!(zone && focusFirst(zone)) && left > 0) timer = setTimeout(() => look(left - 1), PAUSE);
    };
    look(LOOKS);
    return () => clearTimeout(timer);
  }, [wishes]);
  return useCallback(() => setWishes((count) => count + 1), []);
}

/**
 * Leads to the next best reading once all that was typed before is judged: else it might lead to the reading that was
 * just taken.
 */
function useGoToNext(measure: Measuring): () => void {
  const { appraisal, snapshot } = useJob();
  const store = useJobStore();
  const [wishes, setWishes] = useState(0);
  const answered = useRef(0);
  useEffect(() => {
    if (answered.current === wishes || store.getSnapshot() !== snapshot) return;
    answered.current = wishes;
    const next = appraisal.plan.steps[0];
    if (next) measure(next.measure, next.at);
  }, [wishes, store, snapshot, appraisal, measure]);
  return useCallback(() => setWishes((count) => count + 1), []);
}

/** The zones around the instrument of a job: plates, steps, tag. */
const ZONES = 3;

/** How many of so many zones are drawn by now: one after the other, so that none holds up the screen for long. */
function useDrawnInTurn(zones: number): number {
  const [drawn, setDrawn] = useState(0);
  useEffect(() => (drawn < zones ? drawInTurn(() => setDrawn(drawn + 1)) : undefined), [drawn, zones]);
  return drawn;
}

/** Says that a step answers keys and taps, and then fetches the others while nothing else is to do. */
function Opened({ onOpened }: { onOpened: () => void }) {
  useEffect(() => {
    onOpened();
    return whenIdle(fetchStepsAhead);
  }, [onOpened]);
  return null;
}

interface JobProps {
  /** The job as it arrived: what is shown of it until it is worked out. */
  readonly arrived: JobView;
  /** The step asked for in the address. */
  readonly asked: string;
  readonly onOpened: () => void;
}

/** A job at the bench: its steps, and what its readings mean. */
export function Job({ arrived, asked, onOpened }: JobProps) {
  const { appraisal, entered, snapshot, steps, view } = useJob();
  const [goes] = useState(goesOn);
  const drawn = useDrawnInTurn(ZONES);
  const [step, setStep] = useState<Step>(() => firstStep(asked, nextStep(steps)));
  useSayHere(step);
  const goToFirst = useGoToFirst(goes === 'field');
  useEffect(() => {
    if (goes === 'next' && drawn === ZONES) focusNextStep();
  }, [goes, drawn]);
  const [target, goTo] = useGoTo();
  const [part, setPart] = useState<Part | null>(null);
  const open = useCallback((next: Step) => {
    setStep(next);
    setPart(null);
    const address = new URL(window.location.href);
    address.searchParams.set('step', next);
    address.searchParams.delete('go');
    window.history.replaceState(null, '', address);
  }, []);
  const measure = useCallback<Measuring>(
    (asked, at = null) => {
      const station = stationOf(asked);
      if (station && at !== null) {
        const key = Number(keyFor(stationRows(station.edge, snapshot, entered), at));
        open('bar');
        goTo(stationPath(station.edge, key, station.field), at);
        return;
      }
      const { step: there, path } = destinationOf(asked, entered.stationKeys);
      // Links are counted twice: after the first count it is the second that is asked for.
      const isCounted = asked === 'chain.driveLinks' && entered.sheet.chain?.driveLinks?.length === 1;
      open(there);
      goTo(isCounted ? 'chain.driveLinks.1' : path);
    },
    [snapshot, entered, goTo, open],
  );
  const show = useCallback(
    (path: string) => {
      open(readingAt(path)?.told.step ?? 'bar');
      goTo(path);
    },
    [goTo, open],
  );
  // A place behind the address's `#`, such as `#bar.checks.bow`, is gone to: links may point at a reading.
  useEffect(() => {
    const follow = () => {
      const path = window.location.hash.slice(1);
      if (isReadingPath(path)) show(path);
    };
    follow();
    window.addEventListener('hashchange', follow);
    return () => window.removeEventListener('hashchange', follow);
  }, [show]);
  const goToNext = useGoToNext(measure);
  useKeys(
    useMemo(
      () => [
        {
          shown: ['1', '…', '9', '0', 'y', 'f', 'p', 'h'],
          does: texts.goToAStep,
          answer: (key) => {
            const meant = STEPS.find((each) => stepRow(each).key === key);
            if (meant === step) goToFirst();
            else if (meant) open(meant);
            return meant !== undefined;
          },
        },
        {
          shown: ['m'],
          does: texts.goToTheNextBest,
          on: 'm',
          act: goToNext,
        },
        { shown: ['Enter'], does: texts.enterAReading },
        { shown: ['F8'], does: texts.nextToolInALength },
      ],
      [open, goToNext, step, goToFirst],
    ),
  );
  const StepView = STEP_VIEWS[step];
  const plates = useKept(platesOf(appraisal, entered.sheet));
  const joints = useKept(jointsOf(appraisal));
  const others = useKept(setJointsOf(appraisal));
  return (
    <JobLayout
      step={step}
      plates={drawn > 0 && <Plates plates={plates} joints={joints} others={others} />}
      steps={drawn > 1 ? <StepList current={step} onOpen={open} /> : <OpeningSteps view={arrived} />}
      tag={
        drawn > 2 ? (
          <Tag step={step} part={part} onMeasure={measure} onOpen={open} onShow={show} />
        ) : (
          <OpeningTag view={arrived} step={step} />
        )
      }
    >
      <TargetContext value={target}>
        {view.job.state === 'handed-over' && step !== 'hand-over' && <Gone />}
        <WhereTroubleEnds view={step}>
          <StepView onOpen={open} onMeasure={measure} onPart={setPart} />
          {drawn === ZONES && <Opened onOpened={onOpened} />}
        </WhereTroubleEnds>
      </TargetContext>
    </JobLayout>
  );
}
