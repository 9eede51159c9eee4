import { Command, Argument, CommanderError } from 'commander';
import { assess } from '../core/assess';
import { limitsFile } from '../core/families';
import { chainNeed, searchStock } from '../core/fit';
import { assessmentDocument } from '../wording';
import { limitsFrom, sheetFrom, stockFrom, Unreadable } from './documents';
import { jsonSchema, SCHEMA_NAMES, type SchemaName } from './schemas';
import { assessmentText } from './text';

/** Exit code for input that cannot be read. */
const UNREADABLE = 2;

const json = (document: unknown): string => `${JSON.stringify(document, null, 2)}\n`;

interface AssessOptions {
  limits?: string;
  stock?: string;
  text?: boolean;
}

function assessCommand(path: string, options: AssessOptions): string {
  const [sheet, limits, stock] = [sheetFrom(path), limitsFrom(options.limits), stockFrom(options.stock)];
  const appraisal = assess(sheet, limits);
  const matches =
    stock && 'order' in appraisal.order ? searchStock(chainNeed(appraisal.order.order), stock) : stock && [];
  const document = assessmentDocument(appraisal, matches);
  return options.text ? assessmentText(document) : json(document);
}

function program(print: (text: string) => void): Command {
  const command = new Command('serrata').description('Assess a bench sheet from the command line.').exitOverride();
  command
    .command('assess')
    .description('Assess a bench sheet and print the assessment as JSON.')
    .argument('<sheet>', 'path of the bench sheet, or - for standard input')
    .option('--limits <file>', "the shop's limits, as printed by `serrata limits`")
    .option('--stock <file>', 'stock list in CSV: which parts answer the order')
    .option('--text', 'print sentences instead of JSON')
    .action((path: string, options: AssessOptions) => print(assessCommand(path, options)));
  command
    .command('schema')
    .description('Print the JSON Schema of a document.')
    .addArgument(new Argument('<document>').choices(SCHEMA_NAMES))
    .action((name: SchemaName) => print(json(jsonSchema(name))));
  command
    .command('limits')
    .description('Print the limits with where they come from.')
    .option('--limits <file>', 'lay these changes over the defaults first')
    .action((options: { limits?: string }) => print(json(limitsFile(limitsFrom(options.limits)))));
  return command;
}

/** Runs the command; returns its exit code. */
export function run(args: readonly string[], print: (text: string) => void, complain: (text: string) => void): number {
  const command = program(print);
  command.configureOutput({ writeOut: print, writeErr: complain });
  for (const sub of command.commands) sub.exitOverride().configureOutput({ writeOut: print, writeErr: complain });
  try {
    command.parse(args, { from: 'user' });
    return 0;
  } catch (error) {
    if (error instanceof Unreadable) {
      complain(`${error.lines.join('\n')}\n`);
      return UNREADABLE;
    }
    if (error instanceof CommanderError) return error.exitCode === 0 ? 0 : UNREADABLE;
    throw error;
  }
}

process.exitCode = run(
  process.argv.slice(2),
  (text) => process.stdout.write(text),
  (text) => process.stderr.write(text),
);
