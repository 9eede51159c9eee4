import { formatLength, mm, type UnitSystem } from '../../core/quantity';
import type { BarAssessment } from '../../core/bar/checks';
import { isRenewed, momentOf, saidByHandOver, type Moment, type PartSaid } from '../../core/course';
import type { HandOverDocument } from '../../core/report';
import type { Paper, PaperBlock, PaperTone, ShopView } from '../../contract';
import {
  checkValue,
  familyLabel,
  inSentence,
  list,
  money,
  operationWord,
  partName,
  plainDay,
  proofWord,
  sentence,
  storyWord,
} from '../../wording';
import { documentFor, type JobPaper } from './job-paper';
import { railDrawings } from './rails';
import * as texts from '#language/papers';

type Part = HandOverDocument['parts'][number];
type Found = NonNullable<HandOverDocument['findings'][number]['before']>;

const TONE_OF: Readonly<Record<PartSaid['stands'], PaperTone>> = {
  keep: 'good',
  clean: 'good',
  recondition: 'work',
  replace: 'act',
  undecided: 'open',
};

/** Lines below the title of a hand-over's papers. */
export function headOf({ shop, on, job }: HandOverDocument, view: ShopView): readonly string[] {
  return [`${shop} · ${plainDay(on, view)}`, [texts.forCustomer(job.customer), job.saw].filter(Boolean).join(', ')];
}

/** What was found of a part and done with it; a condemned one says why. */
function partText({ condemned, done, found, why }: Part): string {
  if (condemned) return condemned.join(' ');
  if (done.length === 0) return why[0] ?? '';
  return texts.foundDoneNow(found[0] ?? '', list(done.map((operation) => operationWord[operation])), why[0] ?? '');
}

/** What became of a part, in a word and its tone; of a new one also that the old one was condemned. */
function became(said: PartSaid, { condemned }: Part): { readonly tone: PaperTone; readonly word: string } {
  const word = inSentence(storyWord(said));
  if (!condemned) return { tone: TONE_OF[said.stands], word };
  const isOut = said.moment === 'out' && !said.contradicted;
  return { tone: 'gone', word: isOut ? texts.newOldCondemned(word) : texts.condemnedWord };
}

const value = (found: Found | null, unit: UnitSystem): string => {
  if (!found) return '–';
  const shown = checkValue(found, unit);
  return shown === '' ? outcomeWord(found) : shown;
};

const outcomeWord = ({ outcome }: Found): string =>
  ({ ok: texts.sound, watch: texts.watch, fail: texts.notRight, undecided: texts.open, 'not-measured': '–' })[outcome];

function findings({ findings: all, parts }: HandOverDocument, unit: UnitSystem): readonly PaperBlock[] {
  if (all.length === 0) return [];
  const isNew = (part: Part['part']) => parts.some((each) => each.part === part && each.choice === 'replace');
  return [
    {
      is: 'table',
      title: texts.whatWasFound,
      head: [texts.found, texts.asItCame, texts.asItGoes],
      rows: all.map(({ name, part, before, after }) => [
        `${partName[part]}: ${name.charAt(0).toLowerCase()}${name.slice(1)}`,
        value(before, unit),
        isNew(part) ? texts.newPart : value(after, unit),
      ]),
    },
  ];
}

function numbers({ numbers: { pitch, gauge, driveLinks } }: HandOverDocument): readonly PaperBlock[] {
  const family = pitch === null ? texts.notKnown : familyLabel(pitch as Parameters<typeof familyLabel>[0]);
  const [short, ...rest] = family.split(' ');
  return [
    { is: 'heading', text: texts.threeNumbersForTheNext },
    {
      is: 'numbers',
      items: [
        { name: texts.pitch, value: pitch === null ? '–' : short!, note: pitch === null ? family : rest.join(' ') },
        { name: texts.gauge, value: gauge ?? '–', note: gauge === null ? texts.notKnown : texts.inch },
        {
          name: texts.driveLinks,
          value: driveLinks === null ? '–' : String(driveLinks),
          note: driveLinks === null ? texts.notKnown : '',
        },
      ],
    },
  ];
}

/** What was agreed, part by part, where the shop tells it. */
function priceOf({ price, fitted }: HandOverDocument, shop: ShopView): readonly PaperBlock[] {
  if (!price || shop.customerPrice !== 'told') return [];
  const amount = (smallest: number) => money(smallest, { ...shop, currency: price.currency });
  return [
    { is: 'heading', text: texts.price },
    {
      is: 'pairs',
      items: [
        ...price.parts.map((part) => ({ name: part.name, value: amount(part.amount) })),
        // Plans that were signed before they kept their parts have one amount for all.
        { name: price.parts.length < fitted.length ? texts.workAndParts : texts.work, value: amount(price.work) },
        ...(price.parts.length === 0 ? [] : [{ name: texts.together, value: amount(price.together) }]),
      ],
    },
  ];
}

/** How it goes out: the edge that is down, its tension, its proof. */
function goesOut({ edgeDown, refit, proof }: HandOverDocument, unit: UnitSystem): readonly PaperBlock[] {
  const show = (length: number) => formatLength(mm(length), unit, unit === 'mm' ? 0 : undefined);
  const { cut } = proof;
  const items = [
    ...(edgeDown ? [{ name: texts.edgeDownNow, value: edgeDown }] : []),
    ...(typeof refit.tension?.value === 'number'
      ? [{ name: texts.chainLiftsAtMidBar, value: show(refit.tension.value) }]
      : []),
    ...(proof.state === 'not-needed' ? [] : [{ name: texts.proof, value: proofWord[proof.state] }]),
    ...(cut
      ? [
          {
            name: texts.testCutDeep(show(cut.depth)),
            value:
              cut.measured === 0
                ? 'straight'
                : texts.off(show(Math.abs(cut.measured)), cut.measured < 0 ? 'left' : 'right'),
          },
        ]
      : []),
  ];
  return items.length === 0
    ? []
    : [
        { is: 'heading', text: texts.asItGoesOut },
        { is: 'pairs', items },
      ];
}

/**
 * The customer's page: in plain words what was found, done and condemned, with the bar before and after, and what to do
 * at home.
 */
function customerPaper(
  document: HandOverDocument,
  moment: Moment,
  bar: BarAssessment,
  shop: ShopView,
  unit: UnitSystem,
): Paper {
  const said = saidByHandOver(document, moment);
  // Rails that were thrown away have no “as it goes”.
  const isNewBar = said.some((each) => each.part === 'bar' && isRenewed(each));
  const drawings = isNewBar ? [] : railDrawings(bar, (length) => formatLength(mm(length), unit));
  const { advice, nextVisit, open, note, cautions, fitted, job } = document;
  return {
    shop,
    title: texts.yourSaw,
    tag: job.reference,
    lines: [...headOf(document, shop), ...(job.complaint === '' ? [] : [`“${job.complaint}”`])],
    size: 'page',
    blocks: [
      {
        is: 'marks',
        items: document.parts.map((part, i) => {
          const { tone, word } = became(said[i]!, part);
          return { tone, word: `${partName[part.part]}: ${word}`, text: partText(part) };
        }),
      },
      ...(fitted.length > 0
        ? [{ is: 'text', text: texts.newParts(list(fitted.map(({ name }) => name))), look: 'strong' } as const]
        : []),
      ...drawings.map((drawing) => ({ is: 'drawing', drawing }) as const),
      ...findings(document, unit),
      ...goesOut(document, unit),
      ...priceOf(document, shop),
      ...numbers(document),
      ...(advice.length > 0
        ? [
            { is: 'heading', text: texts.soThatItStaysSo } as const,
            { is: 'list', items: advice.map(({ says }) => says) } as const,
          ]
        : []),
      { is: 'heading', text: texts.nextVisit(plainDay(nextVisit.on, shop)) },
      { is: 'text', text: nextVisit.why },
      ...(open.length > 0
        ? [
            {
              is: 'notice',
              kind: 'caution',
              items: [...open, ...(note === '' ? [] : [sentence(note)])],
            } as const,
          ]
        : []),
      ...cautions.map((text) => ({ is: 'text', text, look: 'small' }) as const),
    ],
  };
}

export const customer: JobPaper = {
  name: texts.customersPage,
  step: 'hand-over',
  write: async (asked) => {
    const { job, unit } = asked;
    return customerPaper(await documentFor(asked), momentOf(job.course), job.appraisal.bar, job.shop, unit);
  },
};
