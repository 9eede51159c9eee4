import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import sharp from 'sharp';
import { beforeAll, describe, expect, it } from 'vitest';
import { CARDS, codeOf, squaresOf, type CardId } from '../../src/core/picture';
import { pictureSchema, type PictureDocument } from '../../src/core/report';
import { cardPdf } from '../../src/server/papers/card-pdf';
import { measurePicture, type AskedOfPicture } from '../../src/server/pictures';
import { openCv } from '../../src/server/pictures/opencv';
import { pictureFrom } from '../../src/server/pictures/read';
import { squaresIn, type OpenCv } from '../../src/sight/squares';
import { pictureDocument } from '../../src/wording';
import { seenFrom, type View } from '../support/photographs/render';
import { taken, USUAL_VIEW } from '../support/photographs/taken';
import { barTail, chainPiece, rivetPlaces, type ChainPiece } from '../support/photographs/things';

const ASKED: AskedOfPicture = { line: 100, points: [], find: 'rivets', exact: false };

async function told(bytes: Buffer, asked: Partial<AskedOfPicture> = {}): Promise<PictureDocument> {
  const measured = await measurePicture(bytes, { ...ASKED, ...asked });
  return pictureSchema.parse(pictureDocument(measured!));
}

const reading = ({ readings, refused }: PictureDocument, what: string) => {
  const found = readings.find((each) => each.what === what);
  if (!found) throw new Error(`No ${what}: ${refused}`);
  return found;
};

const PIECE: ChainPiece = {
  ...{ x: 0, y: 6, turn: 0.1, pitch: 9.525, width: 0.483, rivets: 13, lift: 3.05, head: 205 },
};
const scene = (piece: ChainPiece, on: CardId = 'A5') => ({
  ...{ on, things: chainPiece(piece), seed: 5, blur: 0.8, noise: 3 },
});

let chain: Buffer;
beforeAll(async () => {
  chain = await taken(scene(PIECE));
}, 60_000);

describe('a chain in a photograph', () => {
  const views: readonly (readonly [string, Partial<ChainPiece>, Partial<View>, CardId])[] = [
    ['upright, dark heads', { pitch: 8.28, head: 60, rivets: 15 }, { tilt: 0.02, roll: -0.2 }, 'A5'],
    ['slanted, upside down', { pitch: 6.4, turn: -0.15, rivets: 16 }, { tilt: 0.55, toward: 2.6, roll: 3.1 }, 'A5'],
    ['on the small card', { pitch: 9.4, width: 0.51, rivets: 8, y: 3 }, { distance: 200, radial: -0.005 }, 'A6'],
  ];
  it.each(views)(
    'tells its pitch and its rivets: %s',
    async (_, piece, view, on) => {
      const known = { ...PIECE, ...piece };
      const document = await told(await taken(scene(known, on), { ...USUAL_VIEW, ...view }));
      const pitch = reading(document, 'chain.pitch');
      expect(Math.abs(pitch.value / known.pitch - 1)).toBeLessThan(0.004);
      expect(Math.abs(pitch.value - known.pitch)).toBeLessThan(3 * pitch.u);
      expect(pitch.u / known.pitch).toBeLessThan(0.005);
      expect(reading(document, 'chain.rivets').value).toBe(known.rivets);
      expect(document.card?.kind).toBe(on);
    },
    60_000,
  );

  it('tells the same by taps, in either order, and by every rivet marked', async () => {
    const see = seenFrom(USUAL_VIEW);
    const at = rivetPlaces(PIECE).map(({ x, y }) => see(x, y, 3));
    const [first, last] = [at[0]!, at.at(-1)!];
    const pitchBy = async (asked: Partial<AskedOfPicture>) => reading(await told(chain, asked), 'chain.pitch').value;
    const forth = await pitchBy({ points: [{ x: first.x + 4, y: first.y - 3 }, last] });
    expect(await pitchBy({ points: [last, first] })).toBeCloseTo(forth, 2);
    expect(await pitchBy({ points: at, find: null })).toBeCloseTo(forth, 1);
    expect(await pitchBy({ points: at, find: null, exact: true })).toBeCloseTo(PIECE.pitch, 1);
  }, 60_000);

  it('grows with the print, by its share', async () => {
    const of = async (line: number) => reading(await told(chain, { line }), 'chain.pitch').value;
    // The lift stays what it is, so that it is a little less than its share.
    expect((await of(102)) / (await of(100))).toBeCloseTo(1.02, 3);
  }, 60_000);

  it('is the same turned by its camera and larger than it is measured', async () => {
    const usual = reading(await told(chain), 'chain.pitch').value;
    const turned = await sharp(chain).rotate(90).withMetadata({ orientation: 8 }).jpeg({ quality: 95 }).toBuffer();
    expect(reading(await told(turned), 'chain.pitch').value).toBeCloseTo(usual, 1);
    const large = await sharp(chain).resize({ width: 5000 }).jpeg().toBuffer();
    expect(reading(await told(large), 'chain.pitch').value).toBeCloseTo(usual, 1);
  }, 60_000);
});

describe('a bar in a photograph', () => {
  it('tells its slot and its holes', async () => {
    const tail = {
      ...{ x: -20, y: 2, turn: 0.05, thickness: 4.4, slotWidth: 8.8, slotLength: 62 },
      ...{ holeDiameter: 6, holeAlong: 10, holeOffset: 16 },
    };
    const view = { ...USUAL_VIEW, width: 1600, height: 1200, distance: 290 };
    const see = seenFrom(view);
    const at = (along: number, across: number) =>
      see(
        tail.x + along * Math.cos(tail.turn) - across * Math.sin(tail.turn),
        tail.y + along * Math.sin(tail.turn) + across * Math.cos(tail.turn),
        4.4,
      );
    const bytes = await taken({ on: 'A5', things: barTail(tail), seed: 3, blur: 0.8, noise: 3 }, view);
    const document = await told(bytes, {
      find: 'mount',
      points: [at(-24, 1), at(24, -1), at(10, 16.5), at(10, -15.5)],
    });
    expect(Math.abs(reading(document, 'bar.slotWidth').value - 8.8)).toBeLessThan(0.15);
    expect(Math.abs(reading(document, 'bar.slotLength').value - 62)).toBeLessThan(0.4);
    expect(Math.abs(reading(document, 'bar.holeDiameter').value - 6)).toBeLessThan(0.3);
    expect(Math.abs(reading(document, 'bar.holeDistance').value - 32)).toBeLessThan(0.3);
    expect((await told(bytes, { find: 'mount', points: [] })).refused).toContain('2 places');
  }, 60_000);
});

describe('a photograph that cannot be measured', () => {
  it('is refused with a remedy: bent, no card, steep, another print, nothing on it', async () => {
    const refused = async (bytes: Buffer, asked: Partial<AskedOfPicture> = {}) => (await told(bytes, asked)).refused;
    expect(await refused(await taken({ ...scene(PIECE), bend: 2 }))).toContain('lie flat');
    expect(
      await refused(
        await sharp({ create: { width: 300, height: 200, channels: 3, background: 'white' } })
          .png()
          .toBuffer(),
      ),
    ).toContain('No card');
    expect(await refused(await taken(scene(PIECE), { ...USUAL_VIEW, tilt: 0.9, distance: 330 }))).toContain('slant');
    expect(await refused(chain, { line: 60 })).toContain('100 %');
    expect(await refused(await taken({ on: 'A5', things: [], seed: 1, blur: 0.8 }))).toContain('No straight run');
    expect(
      await refused(chain, {
        points: [
          { x: 600, y: 450 },
          { x: 603, y: 450 },
        ],
      }),
    ).toContain('10 mm');
    expect(
      await refused(chain, {
        points: [
          { x: -4e6, y: 0 },
          { x: 9e9, y: 7 },
        ],
      }),
    ).not.toBeNull();
  }, 120_000);

  it('is none where the bytes are no picture, whatever they are', async () => {
    await fc.assert(
      fc.asyncProperty(fc.uint8Array({ maxLength: 400 }), async (bytes) => {
        expect(await measurePicture(Buffer.from(bytes), ASKED)).toBeNull();
        const cut = Buffer.concat([chain.subarray(0, 300), Buffer.from(bytes)]);
        expect(await pictureFrom(cut)).toBeNull();
      }),
      { seed: 41, numRuns: 30 },
    );
  }, 60_000);
});

describe('the card', () => {
  let cv: OpenCv;
  beforeAll(async () => {
    ({ cv } = await openCv());
  }, 60_000);

  it('is coded as OpenCV’s own dictionary has it', () => {
    const dictionary = cv.getPredefinedDictionary(cv.DICT_4X4_50) as unknown as {
      generateImageMarker: (id: number, side: number, into: unknown, border: number) => void;
    };
    for (let id = 0; id < 16; id += 1) {
      const drawn = new cv.Mat();
      dictionary.generateImageMarker(id, 6, drawn, 1);
      const bits = [1, 2, 3, 4].map((row) =>
        [1, 2, 3, 4].map((column) => (drawn.data[row * 6 + column]! > 0 ? '1' : '0')).join(''),
      );
      expect(bits).toEqual(codeOf(id));
      drawn.delete();
    }
  });

  it.each(['A4', 'letter'] as const)(
    'is printed in its very size on %s',
    async (paper) => {
      const folder = mkdtempSync(join(tmpdir(), 'serrata-card-'));
      const file = join(folder, 'card.pdf');
      writeFileSync(file, await cardPdf(paper));
      const PER_MM = 8;
      execFileSync('pdftoppm', ['-r', String(25.4 * PER_MM), '-gray', '-png', file, join(folder, 'page')]);
      for (const [page, card] of [
        [1, 'A5'],
        [2, 'A6'],
      ] as const) {
        const picture = await pictureFrom(readFileSync(join(folder, `page-${page}.png`)));
        const found = squaresIn(cv, picture!.gray);
        const middle = (id: number) => {
          const { corners } = found.find((square) => square.id === id)!;
          return corners.reduce((sum, { x, y }) => ({ x: sum.x + x / 4, y: sum.y + y / 4 }), { x: 0, y: 0 });
        };
        expect(found).toHaveLength(8);
        const [begin, ...others] = squaresOf(card);
        const from = middle(begin!.id);
        for (const each of others) {
          const at = middle(each.id);
          expect((at.x - from.x) / PER_MM).toBeCloseTo(each.x - begin!.x, 0);
          expect((from.y - at.y) / PER_MM).toBeCloseTo(each.y - begin!.y, 0);
        }
        expect(CARDS[card].corners).toContain(begin!.id);
      }
    },
    60_000,
  );
});
