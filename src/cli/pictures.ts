import { InvalidArgumentError, Option, type Command } from 'commander';
import { FEATURES, type Feature, type Pixel } from '../core/picture';
import { CARD_PAPERS, type CardPaper } from '../server/use-cases/scale-card';
import { pictureDocument } from '../wording';
import { bytesFrom, Unreadable, writeNew } from './documents';
import { json } from './text';

interface PictureOptions {
  cardScale?: number;
  points?: readonly Pixel[];
  find?: Feature;
  exact?: boolean;
}

/** Places in a picture, of an option. */
function places(text: string): readonly Pixel[] {
  const all = text
    .split(';')
    .map((each) => each.split(',').map((number) => (number.trim() === '' ? NaN : Number(number))));
  if (all.every((each) => each.length === 2 && each.every(Number.isFinite)))
    return all.map(([x, y]) => ({ x: x!, y: y! }));
  throw new InvalidArgumentError('Places in pixels, such as "812,640;1490,655".');
}

function millimetres(text: string): number {
  const value = Number(text);
  if (text.trim() !== '' && value > 0) return value;
  throw new InvalidArgumentError('A length in mm, such as 99.6.');
}

async function pictureCommand(
  path: string,
  { cardScale, points = [], find, exact = false }: PictureOptions,
): Promise<string> {
  // The library behind it is large: only who measures a picture waits for it.
  const { measurePicture } = await import('../server/pictures');
  const measured = await measurePicture(bytesFrom(path), {
    line: cardScale ?? null,
    points,
    find: find ?? null,
    exact,
  });
  if (!measured)
    throw new Unreadable([`${path}: is no picture that can be read; give a photograph as JPEG, PNG or WebP.`]);
  return json(pictureDocument(measured));
}

/** Adds what measures photographs: the card, and the picture. */
export function addPictures(command: Command, print: (text: string) => unknown): void {
  command
    .command('picture')
    .description('Measure a photograph by the card that lies in it, and print what it tells as JSON.')
    .argument('<file>', 'path of the photograph, or - for standard input')
    .option('--card-scale <mm>', 'measured length of the printed line of 100 mm', millimetres)
    .option('--points <places>', 'places in pixels, such as "812,640;1490,655"', places)
    .addOption(
      new Option('--find <feature>', 'what to look for, near the places where there are any').choices(FEATURES),
    )
    .option('--exact', 'take the places as they are, and look for nothing')
    .option('--json', 'print JSON, as it does anyway')
    .action(async (path: string, options: PictureOptions) => {
      await print(await pictureCommand(path, options));
    });
  command
    .command('card')
    .description(
      'Write the scale card that a photograph is measured by, as PDF: A5 on its first page, A6 on its second.',
    )
    .option('--out <file>', 'a file that is not there yet', 'scale-card.pdf')
    .addOption(new Option('--paper <paper>', 'what it is printed on').choices(CARD_PAPERS).default('A4'))
    .action(async ({ out, paper }: { out: string; paper: CardPaper }) => {
      const { cardPdf } = await import('../server/papers/card-pdf');
      writeNew(out, await cardPdf(paper));
      await print(`${out} holds the card. Print it at 100 %, and measure its line of 100 mm.\n`);
    });
}
