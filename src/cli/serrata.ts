import { z } from 'zod';
import { Command, Argument, CommanderError, InvalidArgumentError } from 'commander';
import { appraise, DEFAULT_RULES } from '../core/assess';
import { limitsFile } from '../core/limits';
import { chainNeed, searchStock } from '../core/stock';
import { planSet } from '../core/plan';
import { asItCame, handOver, stillOpen } from '../core/handover';
import { DEFAULT_SCHOOLS } from '../core/schools';
import {
  assessmentDocument,
  handOverDocument,
  misfitSentence,
  plansDocument,
  plansText,
  recordsStand,
  sheetProblem,
  stillOpenSentence,
  type Draws,
} from '../wording';
import { readSheetText } from '../core/sheet';
import { documentFrom, limitsFrom, linesFrom, sheetFrom, stockFrom, Unreadable } from './documents';
import { addPictures } from './pictures';
import { jsonSchema, SCHEMA_NAMES, type SchemaName } from './schemas';
import { assessmentText, json } from './text';
import { certificateIn, type MadeCertificate } from '../server/certificate';
import { recoverOwner } from '../server/use-cases/people/recover';
import { archive, backup, StoreRefused, restore, verify } from '../server/use-cases/backup';

/** Exit code for input that cannot be read. */
const UNREADABLE = 2;

interface AssessOptions {
  limits?: string;
  stock?: string;
  text?: boolean;
  lines?: boolean;
  draws?: number;
  seed?: number;
}

/** Draws beyond this take minutes and tell no more. */
const MOST_DRAWS = 10_000_000;

/** A whole number within bounds, of an option. */
function whole(from: number, to: number): (text: string) => number {
  return (text) => {
    const value = Number(text);
    if (Number.isInteger(value) && value >= from && value <= to) return value;
    throw new InvalidArgumentError(`A whole number from ${from} to ${to}.`);
  };
}

/** Draws as they were asked for; none unless they were. */
const drawsOf = ({ draws, seed = 1 }: AssessOptions): Draws | null => (draws === undefined ? null : { draws, seed });

/** Answers every line as it comes; a line that cannot be read stops none of the others, and ends in exit code 2. */
async function assessLines(path: string, options: AssessOptions, print: (text: string) => unknown): Promise<void> {
  if (options.text || options.stock)
    throw new Unreadable([
      '--lines: goes without --text and --stock; each line is answered by one assessment as JSON.',
    ]);
  const limits = limitsFrom(options.limits);
  let number = 0;
  let unread = 0;
  for await (const line of linesFrom(path)) {
    number += 1;
    if (line.trim() === '') continue;
    const read = readSheetText(line);
    if (!read.ok) unread += 1;
    const answer = read.ok
      ? assessmentDocument(appraise(read.value, { ...DEFAULT_RULES, limits }, null), undefined, drawsOf(options))
      : { line: number, problems: read.error.map(sheetProblem) };
    await print(`${JSON.stringify(answer)}\n`);
  }
  if (unread > 0)
    throw new Unreadable([`${unread} of ${number} lines cannot be read: their problems stand in their places.`]);
}

function assessCommand(path: string, options: AssessOptions): string {
  const [sheet, limits, stock] = [sheetFrom(path), limitsFrom(options.limits), stockFrom(options.stock)];
  const appraisal = appraise(sheet, { ...DEFAULT_RULES, limits }, null);
  const matches =
    stock && 'order' in appraisal.order ? searchStock(chainNeed(appraisal.order.order), stock) : stock && [];
  const document = assessmentDocument(appraisal, matches, drawsOf(options));
  return options.text ? assessmentText(document) : json(document);
}

interface PlanOptions {
  stock?: string;
  rates?: string;
  limits?: string;
  toOrder?: boolean;
  text?: boolean;
}

/** Amounts on the command line, where no shop says its currency. */
const PLAIN_MONEY = { currency: 'EUR', style: 'en-GB', timeZone: 'UTC' } as const;

function planCommand(path: string, { stock, rates, limits: limitsPath, toOrder = false, text }: PlanOptions): string {
  const [sheet, limits] = [sheetFrom(path), limitsFrom(limitsPath, rates)];
  const judged = { sheet, ...appraise(sheet, { ...DEFAULT_RULES, limits }, null) };
  const plans = planSet({ judged, limits, stock: stockFrom(stock) ?? [], toOrder });
  return text ? plansText(plans, PLAIN_MONEY) : json(plansDocument(plans));
}

/** The hand-over of a sheet as it stands, from no shop: whoever reads it knows whose it is. */
function handOverCommand(path: string, { on, limits: limitsPath }: { on: string; limits?: string }): string {
  const [{ sheet, written }, limits] = [documentFrom(path), limitsFrom(limitsPath)];
  const appraisal = appraise(sheet, { ...DEFAULT_RULES, limits }, null);
  const handed = handOver({
    judged: { sheet, ...appraisal },
    before: appraise(asItCame(sheet), { ...DEFAULT_RULES, limits }, null),
    choices: null,
    fitted: null,
    newChain: null,
    limits,
    schools: DEFAULT_SCHOOLS,
  });
  const open = stillOpen({
    sheet,
    ...appraisal,
    signed: false,
    choices: null,
    notTaken: [],
  });
  const { reference = '', complaint = '' } = sheet.job ?? {};
  const head = {
    ...{ reference, customer: '', saw: sheet.saw?.label ?? null, complaint, shop: '', by: '', on, note: '' },
    open: open.map(stillOpenSentence),
    price: null,
  };
  return json(handOverDocument(head, handed, [], written));
}

/** Exit code for records that do not fit. */
const UNFIT = 1;

/** Records do not fit: it was said already. */
class Unfit extends Error {}

/** How the records of a store stand, line by line. */
async function verifyText(file?: string): Promise<{ readonly says: string; readonly fits: boolean }> {
  const { code, count, began, misfits } = await verify(file);
  const lines = [
    recordsStand(count, misfits.length),
    ...misfits.map((misfit) => `  ${misfitSentence(misfit)}`),
    ...(began === null ? [] : [`The chain began at ${began}. Its last record has the code ${code}.`]),
  ];
  return { says: `${lines.join('\n')}\n`, fits: misfits.length === 0 };
}

/** A day, of an option. */
function day(text: string): string {
  if (z.iso.date().safeParse(text).success) return text;
  throw new InvalidArgumentError('A day such as 2026-11-26.');
}

/** What was made, and what to do with it. */
function certificateText({ authority, certificate, key, names, isNew }: MadeCertificate): string {
  return [
    `A certificate for ${names.join(', ')}.`,
    isNew
      ? `Carry ${authority} to every tablet once, and have it trusted there.`
      : `It is signed by the authority that is there already: the tablets trust it.`,
    `Start with: HOST=0.0.0.0 SERRATA_CERTIFICATE=${certificate} SERRATA_KEY=${key} npm start`,
    '',
  ].join('\n');
}

function program(print: (text: string) => unknown): Command {
  const command = new Command('serrata').description('Assess a bench sheet from the command line.').exitOverride();
  command
    .command('assess')
    .description('Assess a bench sheet and print the assessment as JSON.')
    .argument('<sheet>', 'path of the bench sheet, or - for standard input')
    .option('--limits <file>', "the shop's limits, as printed by `serrata limits`")
    .option('--stock <file>', 'stock list in CSV: which parts answer the order')
    .option('--draws <n>', 'add the shares of verdicts by so many draws', whole(1, MOST_DRAWS))
    .option('--seed <n>', 'where the draws begin: the same seed draws the same', whole(0, 2 ** 32 - 1))
    .option('--text', 'print sentences instead of JSON')
    .option('--lines', 'one sheet per line in, one assessment per line out, in order and as it goes')
    .action((path: string, options: AssessOptions) =>
      options.lines ? assessLines(path, options, print) : void print(assessCommand(path, options)),
    );
  command
    .command('plan')
    .description(
      'Print the repair plans of a bench sheet: what each costs today and per running hour, and what is ruled out.',
    )
    .argument('<sheet>', 'path of the bench sheet, or - for standard input')
    .option('--stock <file>', 'stock list in CSV: the parts that may go on')
    .option('--rates <file>', 'rates and lives: changes by id, such as { "plan.labour": 4800 }')
    .option('--limits <file>', "the shop's limits, as printed by `serrata limits`")
    .option('--to-order', 'parts that are not on the shelf may be ordered')
    .option('--text', 'print sentences instead of JSON')
    .action((path: string, options: PlanOptions) => void print(planCommand(path, options)));
  command
    .command('handover')
    .description(
      'Print the hand-over of a bench sheet: findings before and after, what was done, advice, the next visit.',
    )
    .argument('<sheet>', 'path of the bench sheet, or - for standard input')
    .requiredOption('--on <day>', 'the day it is handed over, such as 2026-11-26', day)
    .option('--limits <file>', "the shop's limits, as printed by `serrata limits`")
    .action((path: string, options: { on: string; limits?: string }) => void print(handOverCommand(path, options)));
  addPictures(command, print);
  command
    .command('schema')
    .description('Print the JSON Schema of a document.')
    .addArgument(new Argument('<document>').choices(SCHEMA_NAMES))
    .action((name: SchemaName) => void print(json(jsonSchema(name))));
  command
    .command('limits')
    .description('Print the limits with where they come from.')
    .option('--limits <file>', 'lay these changes over the defaults first')
    .action((options: { limits?: string }) => void print(json(limitsFile(limitsFrom(options.limits)))));
  command
    .command('backup')
    .description('Save the whole store into one file, while it is in use.')
    .argument('<file>', 'a file that is not there yet')
    .action(async (file: string) => {
      await backup(file);
      await print(`${file} holds the whole store, and was found whole.\n`);
    });
  command
    .command('verify')
    .description('Go through all records that never change, and say what is not as it was written.')
    .argument('[file]', 'a store or a backup; without it, the store')
    .action(async (file?: string) => {
      const { says, fits } = await verifyText(file);
      await print(says);
      if (!fits) throw new Unfit();
    });
  command
    .command('archive')
    .description('Write the whole shop into one archive of open formats: CSV, bench sheets, photographs.')
    .argument('<file>', 'a file that is not there yet')
    .action(async (file: string) => {
      await archive(file, new Date());
      await print(`${file} holds the whole shop. docs/formats/archive.md says what is in it.\n`);
    });
  command
    .command('owner')
    .description('Make somebody an owner with a new password, so that nobody is shut out of the shop for ever.')
    .argument('<name>', 'the name, as it stands among the people or as it is to be added')
    .action(async (name: string) => {
      const password = await recoverOwner(name.trim());
      await print(
        `${name.trim()} is an owner, signed out everywhere. The password, which is kept nowhere else:\n  ${password}\n`,
      );
    });
  command
    .command('certificate')
    .description('Make a certificate for the shop’s own network, signed by an authority of its own.')
    .argument('[names...]', 'names that the shop is reached under, beside the addresses of this machine')
    .option('--folder <folder>', 'where they are kept', './data/certificate')
    .action(async (names: string[], { folder }: { folder: string }) => {
      await print(certificateText(await certificateIn(folder, names, new Date())));
    });
  command
    .command('restore')
    .description('Put a backup, or an archive, in the place of the store. Serrata must be stopped.')
    .argument('<file>', 'a file that a backup or an archive made')
    .action(async (file: string) => {
      const kept = await restore(file, new Date());
      await print(`The store is what ${file} holds.${kept ? ` What stood there is kept as ${kept}.` : ''}\n`);
    });
  return command;
}

/** Runs the command; returns its exit code. */
export async function run(
  args: readonly string[],
  print: (text: string) => unknown,
  complain: (text: string) => void,
): Promise<number> {
  const command = program(print);
  const output = { writeOut: (text: string) => void print(text), writeErr: complain };
  command.configureOutput(output);
  for (const sub of command.commands) sub.exitOverride().configureOutput(output);
  try {
    await command.parseAsync(args, { from: 'user' });
    return 0;
  } catch (error) {
    if (error instanceof Unreadable) {
      complain(`${error.lines.join('\n')}\n`);
      return UNREADABLE;
    }
    if (error instanceof Unfit) return UNFIT;
    if (error instanceof StoreRefused) {
      complain(`${error.message}\n`);
      return UNREADABLE;
    }
    if (error instanceof CommanderError) return error.exitCode === 0 ? 0 : UNREADABLE;
    throw error;
  }
}

/** Writes to standard output and waits where the reader is slower than the assessing. */
const print = (text: string): unknown =>
  process.stdout.write(text) || new Promise((resolve) => process.stdout.once('drain', resolve));

// A reader that has seen enough, such as `head`, ends the command without a word.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
  process.exit();
});

process.exitCode = await run(process.argv.slice(2), print, (text) => process.stderr.write(text));
