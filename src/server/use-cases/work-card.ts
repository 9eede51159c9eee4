import type { Appraisal } from '../../core/assess';
import { formatLength, mm } from '../../core/quantity';
import { barWork } from '../../core/bar/checks';
import { EDGES } from '../../core/declared';
import type { WorkCardView, WorkOnPart } from '../../contract';
import {
  checkSentence,
  shopDay,
  effortSentence,
  exceptionSentence,
  LEVELLING_STEPS,
  operationWord,
  operationWordIn,
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
import * as texts from '#language/server';

/** The work card of a job's bar, ready to print. */
export function workCardView({ now }: Context, { record, shop, rules, sheet, appraisal }: AppraisedJob): WorkCardView {
  const { schools } = rules;
  const { bar, verdicts } = appraisal;
  // Nothing is taken off a bar that goes.
  const dressed = verdicts.bar.action === 'replace' ? [] : EDGES;
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
    date: shopDay(now().toISOString(), shop),
    verdict: sheet.bar ? verdictHeadline(verdicts.bar) : null,
    operations: barWork(sheet, bar, verdicts.bar, schools).map((operation) =>
      sentence(operationWordIn(operation, schools)),
    ),
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
    others: [...chainWork(appraisal), ...sprocketWork(appraisal)],
  };
}

const show = (length: number): string => formatLength(mm(length), 'mm');

/** The chain's work: what comes off, what to file by, in which order. Nothing where it calls for none. */
function chainWork({ chain, verdicts }: Appraisal): readonly WorkOnPart[] {
  const { operations } = verdicts.chain;
  if (operations.length === 0) return [];
  const { correction, gauges, start } = chain;
  const said = gauges && gaugeSentence(gauges, show);
  return [
    {
      title: texts.chain,
      verdict: verdictHeadline(verdicts.chain),
      rows: [
        ...(correction ? [{ name: texts.allCutters, value: show(correction.length.value) }] : []),
        ...startValueRows(start, gauges?.setting ?? null, show),
      ],
      notes: said ? [said] : [],
      operations: operations.map((operation) => sentence(operationWord[operation])),
      cautions: CHAIN_CAUTIONS,
    },
  ];
}

/** The drive sprocket's work, or the acts of putting another one on. */
function sprocketWork({ verdicts }: Appraisal): readonly WorkOnPart[] {
  const { action, operations } = verdicts.driveSprocket;
  const acts = action === 'replace' ? choicesAt('driveSprocket.replaceDone').map(({ label }) => label) : [];
  if (acts.length === 0 && operations.length === 0) return [];
  return [
    {
      title: texts.driveSprocket,
      verdict: verdictHeadline(verdicts.driveSprocket),
      rows: [],
      notes: [],
      operations: [...operations.map((operation) => sentence(operationWord[operation])), ...acts],
      cautions: REPLACE_CAUTIONS,
    },
  ];
}
