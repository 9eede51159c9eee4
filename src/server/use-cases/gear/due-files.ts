import { createEvents, type DateArray, type EventAttributes } from 'ics';
import Papa from 'papaparse';
import type { CustomerGearView, DueGear } from '../../../contract';
import { customText, partName, reachSentence, wearName } from '../../../wording';
import { formatLength, mm } from '../../../core/quantity';
import type { Context } from '../../context';
import { nobodyWaits } from '../../refusal';
import { inOrderOfDue } from './due';
import { customerGear } from './gear';
import * as texts from '#language/server';

/** A file of what is due, and whose. */
export interface DueFile {
  readonly file: string;
  readonly customer: string;
}

/** All that is due of a customer, page by page. */
async function allDue(context: Context, id: string): Promise<CustomerGearView & { readonly all: readonly DueGear[] }> {
  const first = await customerGear(context, id, null);
  const all = [...first.due];
  for (let page = 2; page <= first.pages; page += 1) {
    if (context.isLeft?.()) throw nobodyWaits();
    all.push(...(await customerGear(context, id, String(page))).due);
  }
  return { ...first, all: inOrderOfDue(all, first.today) };
}

const show = (value: number): string => formatLength(mm(value), 'mm');
const isoDay = (day: string): string => day;

/** Why something is due, in a sentence; days as files write them. */
const why = ({ because }: DueGear): string =>
  because.code === 'limit' ? reachSentence(because.reach, show, isoDay) : customText(because.custom, isoDay);

const sawName = ({ saw }: DueGear): string => [saw.label, saw.tag].filter(Boolean).join(' ');

/** The day to be there: the early end of the band, and today where that is past or custom says so. */
function dayToCome({ because }: DueGear, today: string): string {
  const day = because.code === 'limit' ? (because.reach.on.from ?? because.reach.on.middle) : null;
  return day === null || day < today ? today : day;
}

/** What is due of a customer's saws as CSV: a line each, the soonest first. */
export async function dueAsCsv(context: Context, id: string): Promise<DueFile> {
  const { all, customer, today } = await allDue(context, id);
  const lines = all.map((due) => {
    const reach = due.because.code === 'limit' ? due.because.reach : null;
    return [
      dayToCome(due, today),
      reach?.on.middle ?? '',
      reach?.on.until ?? '',
      due.saw.label,
      due.saw.tag,
      partName[due.part],
      reach ? wearName[reach.wear] : '',
      reach?.now.value.toFixed(3) ?? '',
      reach?.limit.toString() ?? '',
      why(due),
    ];
  });
  const file = `${Papa.unparse({ fields: [...DUE_COLUMNS], data: lines }, { newline: '\n', escapeFormulae: true })}\n`;
  return { file, customer: customer.name };
}
const DUE_COLUMNS = ['due_from', 'likely', 'until', 'saw', 'tag', 'part', 'what', 'value', 'limit', 'why'] as const;

const asDate = (day: string): DateArray => day.split('-').map(Number) as unknown as DateArray;

/** The same as a calendar file (RFC 5545): a whole day each, on the early end of its band. */
export async function dueAsCalendar(context: Context, id: string, address: string): Promise<DueFile> {
  const { all, customer, today, shop } = await allDue(context, id);
  const events = all.map((due): EventAttributes => ({
    uid: `${due.piece}.${due.because.code}@serrata`,
    productId: 'serrata',
    calName: texts.gearDue(customer.name),
    title: texts.sawDue(`${partName[due.part]}, ${sawName(due)}`),
    description: why(due),
    location: shop.name,
    url: `${address}/gear/pieces/${due.piece}`,
    start: asDate(dayToCome(due, today)),
    duration: { days: 1 },
    startInputType: 'utc',
    busyStatus: 'FREE',
  }));
  const { error, value } = createEvents(events);
  if (error || typeof value !== 'string') throw error ?? new Error(texts.noCalendarFileWasMade);
  return { file: value, customer: customer.name };
}
