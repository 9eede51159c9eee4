import { mm, type InstrumentId, type Mm } from '../../core/quantity';

/** A study of the demo: whose hand, with what, how long ago. */
interface DemoStudy {
  readonly id: string;
  readonly by: string;
  readonly instrument: InstrumentId;
  readonly daysAgo: number;
  readonly takes: readonly Mm[];
  readonly known: { readonly value: Mm; readonly u: number } | null;
  readonly note: string;
}

/** One that is as it should be, one that is old and thin, one with a slip in it. Invented. */
export const DEMO_STUDIES: readonly DemoStudy[] = [
  {
    id: '6f1b4a5e-52b8-4c1c-9d3e-0b6a8f1c7a01',
    by: 'Tam Okoro',
    instrument: 'rule',
    daysAgo: 500,
    takes: [200.2, 199.8, 200.1, 199.9, 200.4, 199.6, 200.0, 200.0].map(mm),
    known: { value: mm(200), u: 0.05 },
    note: 'steel rule of the far bench',
  },
  {
    id: '6f1b4a5e-52b8-4c1c-9d3e-0b6a8f1c7a02',
    by: 'Wilf Arden',
    instrument: 'caliper',
    daysAgo: 6,
    takes: [8.01, 8.0, 7.99, 8.0, 8.02, 8.0, 7.98, 8.01, 7.99, 8.0].map(mm),
    known: { value: mm(8), u: 0.001 },
    note: 'on the 8 mm block',
  },
  {
    id: '6f1b4a5e-52b8-4c1c-9d3e-0b6a8f1c7a03',
    by: 'Ines Holloway',
    instrument: 'depth-marks',
    daysAgo: 3,
    takes: [7.5, 8.0, 7.5, 8.0, 9.5].map(mm),
    known: null,
    note: 'one place of a scrap bar, cut short by a caller',
  },
];
