import { addStudy, setStudyAside, shopStanding, type ShopStanding } from '../../data/repositories';
import { parseLength, type Mm } from '../../core/quantity';
import type { SetStudyAside, StudyHand, StudyView } from '../../contract';
import { readingProblem, UNNAMED } from '../../wording';
import type { Context } from '../context';
import { notFound, Refusal } from '../refusal';
import * as texts from '#language/server';

/** Studies of the shop as it stands, the newest first. */
export const newestFirst = ({ studies }: Pick<ShopStanding, 'studies'>): readonly StudyView[] => [...studies].reverse();

/** Every study of the shop, the newest first. */
export const studiesOf = async ({ store }: Context): Promise<readonly StudyView[]> =>
  newestFirst(await shopStanding(store.db));

/** Reads what was typed, every wrong one named by its number. */
function readTakes({ takes, unit }: StudyHand): readonly Mm[] {
  const problems: string[] = [];
  const read = takes.flatMap((text, i) => {
    const length = parseLength(text, 'block', unit);
    if (!length.ok) problems.push(texts.takeProblem(i + 1, readingProblem(length.error)));
    return length.ok ? [length.value.length] : [];
  });
  if (problems.length > 0) throw new Refusal(422, 'takes-refused', texts.someTakesCannotBeRead, problems);
  return read;
}

function readSize(text: string | null, what: string, unit: StudyHand['unit']): Mm | null {
  if (text === null || text.trim() === '') return null;
  const read = parseLength(text, 'block', unit);
  if (!read.ok) throw new Refusal(422, 'size-refused', `${what}: ${readingProblem(read.error)}`);
  return read.value.length;
}

/** Stores a study of a hand and its tool. A hand is somebody's: it has a name. */
export async function studyHand(context: Context, wanted: StudyHand): Promise<readonly StudyView[]> {
  const { id, by, instrument, note, unit } = wanted;
  if (by === UNNAMED) throw new Refusal(422, 'no-name', texts.sayWhoIsHereFirst);
  const takes = readTakes(wanted);
  const known = readSize(wanted.known, texts.theSizeOfTheBlock, unit);
  const doubt = readSize(wanted.knownDoubt, texts.theDoubtOfTheBlock, unit) ?? 0;
  const at = context.now().toISOString();
  await context.store.write((tx) =>
    addStudy(tx, { id, by, instrument, takes, known: known === null ? null : { value: known, u: doubt }, note, at }),
  );
  return studiesOf(context);
}

/** Sets a study aside. */
export async function putStudyAside(context: Context, { by, id }: SetStudyAside): Promise<readonly StudyView[]> {
  const at = context.now().toISOString();
  await context.store.write(async (tx) => {
    const study = (await shopStanding(tx)).studies.find((each) => each.id === id && each.setAside === null);
    if (!study) throw notFound('study');
    await setStudyAside(tx, study, { rowId: context.newId(), at, by });
  });
  return studiesOf(context);
}
