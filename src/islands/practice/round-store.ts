import { isAsked, type Taken } from '../../core/practice';
import { parseLength, type UnitSystem } from '../../core/quantity';
import { isReadingPath, sheetFromEntries, type Entry, type ReadingPath } from '../../core/sheet';
import { stationOf, stationPath, type AtStation } from '../../core/declared';
import type { ReadingsStore, Snapshot, Standing } from '../job/store/job-store';
import { keyFor, stationRows } from '../job/bar/stations';

/** A station beyond those that are planned lies so far from the last, mm. */
const ADDED_STEP = 40;

const EMPTY: Snapshot = {
  standing: new Map(),
  drafts: new Map(),
  saving: 'saved',
  trouble: null,
  waiting: 0,
  lastReading: 0,
  fromElsewhere: [],
};

/** Where a learner types: where along an edge they read. Everything else the part answers. */
const isOwn = (path: string): boolean => isReadingPath(path) && stationOf(path)?.field === 'at';

/**
 * The readings of a round of practice, for the bench's own fields: what would be typed there is asked of the part
 * instead.
 */
export class RoundStore implements ReadingsStore {
  private snapshot: Snapshot = EMPTY;
  /** Places along the edges that the learner chose and has not read at yet. */
  private readonly places = new Map<string, Standing>();
  private read: (path: ReadingPath) => Promise<void> = async () => {};
  private readonly listeners = new Set<() => void>();

  constructor(
    private taken: readonly Taken[],
    private readonly by: string,
  ) {
    this.takeIn(taken);
  }

  /** Has what fields ask for be read by somebody, with whatever tool is in hand. */
  askOf(read: (path: ReadingPath) => Promise<void>): void {
    this.read = read;
  }

  readonly getSnapshot = (): Snapshot => this.snapshot;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Takes in what was read by now. */
  takeIn(taken: readonly Taken[]): void {
    this.taken = taken;
    const standing = new Map(this.places);
    taken.forEach(({ entries }, i) => entries.forEach((entry) => standing.set(entry.path, this.stood(entry, `${i}`))));
    this.update({ standing });
  }

  /** Whether something was read there already. */
  isRead(path: string): boolean {
    return isReadingPath(path) && isAsked(path, this.taken);
  }

  type(path: string, text: string, unit: UnitSystem): void {
    if (isOwn(path)) this.update({ drafts: new Map(this.snapshot.drafts).set(path, { path, text, unit }) });
  }

  enter(path: string): void {
    const draft = this.snapshot.drafts.get(path);
    if (!draft) return;
    this.places.set(path, this.stood(draft, 'own'));
    const drafts = new Map(this.snapshot.drafts);
    drafts.delete(path);
    this.update({ drafts, standing: new Map(this.snapshot.standing).set(path, this.stood(draft, 'own')) });
  }

  enterAll(): void {
    for (const path of [...this.snapshot.drafts.keys()]) this.enter(path);
  }

  /** A tap on a word, or on a gauge: the part answers what is there. What was read once is read again by the bar alone. */
  set(path: string): void {
    if (isReadingPath(path) && !this.isRead(path)) void this.read(path);
  }

  /** A tool counts for what is read next: what was read was read with another one. */
  setTool(): void {}
  resolve(): void {}
  refresh = async (): Promise<void> => {};
  sendAgain = async (): Promise<void> => {};
  flush = async (): Promise<void> => {};

  /** Where along its edge a station is read, mm; null for anything else. */
  placeOf(path: ReadingPath): number | null {
    const station = stationOf(path);
    if (!station) return null;
    const { standing, drafts } = this.snapshot;
    const at = `bar.edges.${station.edge}.stations.${station.station}.at`;
    const typed = drafts.get(at) ?? standing.get(at);
    const read = typed && parseLength(typed.text, 'station', typed.unit);
    if (read?.ok) return read.value.length;
    const { sheet, stationKeys } = sheetFromEntries([...standing.values()]);
    const rows = stationRows(station.edge, this.snapshot, { sheet, stationKeys });
    return rows.find(({ key }) => key === String(station.station))?.at ?? (rows.at(-1)?.at ?? 0) + ADDED_STEP;
  }

  /** The field of a station that lies at a place of an edge, or of a new one there. */
  pathAt({ edge, field }: AtStation, at: number): ReadingPath {
    const { sheet, stationKeys } = sheetFromEntries([...this.snapshot.standing.values()]);
    const key = keyFor(stationRows(edge, this.snapshot, { sheet, stationKeys }), at);
    return stationPath(edge, Number(key), field) as ReadingPath;
  }

  private stood(entry: Entry, id: string): Standing {
    return { ...entry, id, by: this.by, at: null, conflict: null };
  }

  private update(change: Partial<Snapshot>): void {
    this.snapshot = { ...this.snapshot, ...change };
    for (const listener of this.listeners) listener();
  }
}
