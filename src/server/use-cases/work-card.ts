import type { Appraisal } from '../../core/assess';
import { formatLength, mm } from '../../core/quantity';
import { barWork, isServiceOnly } from '../../core/bar/checks';
import { partStories, type PartStory } from '../../core/course';
import { EDGES } from '../../core/declared';
import type { Part } from '../../core/reading';
import { SMALL_PARTS } from '../../core/stock';
import type { JobPartView, WorkCardView, WorkOnPart } from '../../contract';
import {
  actionWord,
  checkSentence,
  DEBURR_STEPS,
  shopDay,
  effortSentence,
  exceptionSentence,
  LEVELLING_STEPS,
  operationWord,
  operationWordIn,
  partName,
  REFIT_CAUTIONS,
  CHAIN_CAUTIONS,
  choicesAt,
  gaugeSentence,
  REPLACE_CAUTIONS,
  startValueRows,
  REWORK_CAUTIONS,
  schoolAnswer,
  sentence,
  verdictHeadline,
} from '../../wording';
import type { Context } from '../context';
import { whoseJob, type AppraisedJob } from './appraised';
import { jobParts } from './job-parts';
import * as texts from '#language/server';

/** The work card of a job, ready to print: by the signed plan where there is one, else by the verdicts. */
export async function workCardView(
  context: Context,
  { record, shop, rules, course, sheet, appraisal }: AppraisedJob,
): Promise<WorkCardView> {
  const { schools } = rules;
  const { bar, verdicts } = appraisal;
  const stories = partStories(sheet, verdicts, course);
  const { parts } = await jobParts(context, record.id);
  const goes = (part: Part) => stories.some((story) => story.part === part && story.stands === 'replace');
  const work = barWork(sheet, bar, verdicts.bar, schools);
  // Nothing is taken off a bar that goes.
  const dressed = goes('bar') ? [] : EDGES;
  const byHand = dressed.flatMap((edge) => {
    const check = bar.byHand[edge];
    return check ? [checkSentence(check)] : [];
  });
  const advised = dressed.flatMap((edge) => {
    const { stations, dressing } = bar.edges[edge];
    return dressing?.advised ? [{ edge, stations, dressing }] : [];
  });
  return {
    shop,
    tag: record.tag,
    ...whoseJob(record),
    date: shopDay(context.now().toISOString(), shop),
    verdict: sheet.bar && !goes('bar') ? verdictHeadline(verdicts.bar) : null,
    operations: work.map((operation) => sentence(operationWordIn(operation, schools))),
    isUndecided: verdicts.bar.action === 'undecided',
    isService: isServiceOnly(verdicts.bar, work),
    deburring: work.includes('deburr') ? DEBURR_STEPS[schools.outerEdges] : [],
    levelling: { school: schoolAnswer.levelling[schools.levelling], steps: LEVELLING_STEPS[schools.levelling] },
    edges: advised.map(({ edge, stations, dressing }) => ({
      edge,
      effort: effortSentence(dressing),
      rows: stations.map(({ at }, i) => ({
        at,
        near: dressing.plan.removeNear[i] ?? null,
        far: dressing.plan.removeFar[i] ?? null,
      })),
    })),
    left: [
      ...byHand,
      ...advised.flatMap(({ stations, dressing }) => [
        ...dressing.exceptions.map(({ station, saves }) => exceptionSentence(stations[station]!.at, saves)),
        ...stations.filter(({ leaveLow }) => leaveLow).map(({ at }) => texts.dipIsLeft(Math.round(at))),
      ]),
    ],
    cautions: REWORK_CAUTIONS,
    others: [
      ...stories.flatMap((story) => newPart(story, parts)),
      ...(goes('chain') ? [] : chainWork(appraisal)),
      ...(goes('driveSprocket') ? [] : sprocketWork(appraisal, parts)),
    ],
  };
}

const show = (length: number): string => formatLength(mm(length), 'mm');

/** Drum, bearing and clip that the plan takes. */
const smallParts = (parts: readonly JobPartView[]): readonly string[] =>
  parts.flatMap(({ part, sku, name }) =>
    SMALL_PARTS.some((small) => small === part) ? [texts.fitPart(sku, name)] : [],
  );

/** A part that goes: the new one that takes its place, and how it goes on. */
function newPart({ part, stands, withBar }: PartStory, parts: readonly JobPartView[]): readonly WorkOnPart[] {
  if (stands !== 'replace' || withBar) return [];
  const fitted = parts.find((each) => each.part === part);
  return [
    {
      title: partName[part],
      verdict: actionWord.replace,
      rows: [],
      notes: part === 'driveSprocket' ? smallParts(parts) : [],
      operations: [
        fitted ? texts.fitPart(fitted.sku, fitted.name) : texts.fitNewOne,
        ...(part === 'driveSprocket' ? choicesAt('driveSprocket.replaceDone').map(({ label }) => label) : []),
      ],
      cautions: part === 'driveSprocket' ? REPLACE_CAUTIONS : REFIT_CAUTIONS,
    },
  ];
}

/** The chain's work: what comes off, what to file by, in which order. Nothing where it calls for none. */
function chainWork({ chain, verdicts }: Appraisal): readonly WorkOnPart[] {
  const { operations } = verdicts.chain;
  if (operations.length === 0) return [];
  const { afterFiling, gauges, start } = chain;
  const said = gauges && gaugeSentence(gauges, show);
  return [
    {
      title: texts.chain,
      verdict: verdictHeadline(verdicts.chain),
      rows: [
        ...(afterFiling ? [{ name: texts.allCutters, value: show(afterFiling.length) }] : []),
        ...startValueRows(start, gauges?.setting ?? null, show),
      ],
      notes: said ? [said] : [],
      operations: operations.map((operation) => sentence(operationWord[operation])),
      cautions: CHAIN_CAUTIONS,
    },
  ];
}

/** The drive sprocket's work. */
function sprocketWork({ verdicts }: Appraisal, parts: readonly JobPartView[]): readonly WorkOnPart[] {
  const { operations } = verdicts.driveSprocket;
  if (operations.length === 0) return [];
  return [
    {
      title: texts.driveSprocket,
      verdict: verdictHeadline(verdicts.driveSprocket),
      rows: [],
      notes: smallParts(parts),
      operations: operations.map((operation) => sentence(operationWord[operation])),
      cautions: REPLACE_CAUTIONS,
    },
  ];
}
