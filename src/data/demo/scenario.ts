import type { LearnedCode } from '../../core/identify';
import type { Entry } from '../../core/sheet';

/** People, customers, saws and jobs of the demo scenario: the saw room of a canal and towpath trust. All invented. */
export const DEMO_SHOP = {
  name: 'Lockgate Depot saw room',
  currency: 'GBP',
  timeZone: 'Europe/London',
  style: 'en-GB',
  customerPrice: 'told',
} as const;

export const DEMO_PEOPLE = [
  { id: 'p-ines', name: 'Ines Holloway', role: 'owner' },
  { id: 'p-tam', name: 'Tam Okoro', role: 'technician' },
  { id: 'p-wil', name: 'Wilf Arden', role: 'counter' },
] as const;

export const DEMO_CUSTOMERS = [
  { id: 'c-towpath', name: 'Towpath crew', contact: 'Bridge 41 yard, radio channel 6' },
  { id: 'c-orchard', name: 'Perrydown orchard co-operative', contact: 'ask for the picking shed' },
  { id: 'c-theatre', name: 'Tidewater theatre set workshop', contact: 'stage door, mornings' },
  { id: 'c-garden', name: 'Fenwick Lode botanic garden', contact: 'glasshouse office' },
] as const;

export const DEMO_SAWS = [
  { id: 's-ondral-52', customerId: 'c-towpath', label: 'Ondral 52', tag: 'TP-07', mount: 'M2', maxRpm: 12500 },
  { id: 's-brask-70', customerId: 'c-towpath', label: 'Brask 70', tag: 'TP-11', mount: 'M4', maxRpm: 13000 },
  { id: 's-brask-90', customerId: 'c-towpath', label: 'Brask 90', tag: 'TP-12', mount: 'M5', maxRpm: 11500 },
  { id: 's-ondral-45', customerId: 'c-orchard', label: 'Ondral 45', tag: 'OR-02', mount: 'M2', maxRpm: 13000 },
  { id: 's-velm-e18', customerId: 'c-orchard', label: 'Velm E18', tag: 'OR-05', mount: 'M1', maxRpm: 9000 },
  { id: 's-velm-e12', customerId: 'c-garden', label: 'Velm E12', tag: 'BG-01', mount: 'M1', maxRpm: 8500 },
  { id: 's-ondral-38', customerId: 'c-garden', label: 'Ondral 38', tag: 'BG-03', mount: 'M1', maxRpm: 12800 },
  {
    id: 's-brask-60',
    customerId: 'c-theatre',
    label: 'Brask 60 on the slabbing rail',
    tag: 'TH-01',
    mount: 'M4',
    maxRpm: 12000,
  },
] as const;

/** Days are counted from the day the demo is loaded. */
export const DEMO_JOBS = [
  { tag: 'L-0416', customerId: 'c-garden', sawId: 's-velm-e12', due: -1, by: 'p-tam', signedOff: true },
  { tag: 'L-0417', customerId: 'c-towpath', sawId: 's-ondral-52', due: 0, by: 'p-ines', signedOff: false },
  { tag: 'L-0418', customerId: 'c-towpath', sawId: 's-brask-70', due: 0, by: 'p-ines', signedOff: false },
  { tag: 'L-0419', customerId: 'c-orchard', sawId: 's-ondral-45', due: 0, by: 'p-tam', signedOff: false },
  { tag: 'L-0420', customerId: 'c-theatre', sawId: 's-brask-60', due: 1, by: 'p-wil', signedOff: false },
  { tag: 'L-0421', customerId: 'c-orchard', sawId: 's-velm-e18', due: 0, by: 'p-tam', signedOff: false },
  { tag: 'L-0422', customerId: 'c-orchard', sawId: null, due: 0, by: 'p-wil', signedOff: false },
  { tag: 'L-0423', customerId: 'c-garden', sawId: 's-ondral-38', due: 0, by: 'p-ines', signedOff: false },
  { tag: 'L-0424', customerId: 'c-towpath', sawId: 's-brask-90', due: 1, by: 'p-wil', signedOff: false },
  { tag: 'L-0425', customerId: 'c-towpath', sawId: 's-ondral-52', due: 1, by: 'p-tam', signedOff: false },
  { tag: 'L-0426', customerId: 'c-theatre', sawId: 's-brask-60', due: 2, by: 'p-ines', signedOff: false },
  { tag: 'L-0427', customerId: 'c-orchard', sawId: 's-ondral-45', due: 1, by: 'p-tam', signedOff: false },
] as const;

/** Entries that were typed wrong and stand in their fields with their reason. */
export const DEMO_SLIPS = [
  { tag: 'L-0426', path: 'bar.edges.A.stations.2.near', text: 'five', position: '300' },
] as const;

/** A code that names pitch and gauge, and no loop. */
const LINK_CODE = { driveLinks: null, kickbackClass: null, replacedBy: '' } as const;

/** Codes punched into drive links, as this shop has learned them. Invented. */
export const DEMO_CODES: readonly LearnedCode[] = [
  { ...LINK_CODE, code: 'H4', pitch: '325', gauge: '.050', note: 'Green spool, towpath crew' },
  { ...LINK_CODE, code: 'B2', pitch: '38lp', gauge: '.050', note: 'Battery saws of the garden' },
  { ...LINK_CODE, code: 'V9', pitch: '38', gauge: '.058', note: '' },
  {
    code: '56K',
    pitch: '38lp',
    gauge: '.050',
    driveLinks: 56,
    kickbackClass: 'low-kickback',
    replacedBy: 'LD-9050-56',
    note: 'Cut loops of the garden, no longer sold',
  },
  { ...LINK_CODE, code: 'Q1', pitch: '3/8', gauge: null, note: 'Seen on both builds: look at the cutters' },
];

const mm = (path: string, text: string): Entry => ({ path, text, unit: 'mm' });

/** What the counter remembered of saws, for the next call. */
export const DEMO_MEMORIES: readonly { readonly sawId: string; readonly entries: readonly Entry[] }[] = [
  {
    sawId: 's-velm-e12',
    entries: [
      mm('bar.stamp', '12 in 3/8LP .043 44DL'),
      mm('bar.listedLength', '12 in'),
      mm('chain.driveLinks.0', '44'),
      mm('chain.driveLinks.1', '44'),
      mm('chain.kickbackClass', 'low-kickback'),
      mm('job.operatorTrained', 'no'),
    ],
  },
  {
    sawId: 's-brask-90',
    entries: [
      mm('bar.stamp', '.404 .063 84DL'),
      mm('chain.driveLinks.0', '84'),
      mm('chain.driveLinks.1', '84'),
      mm('chain.kickbackClass', 'standard'),
      mm('job.operatorTrained', 'yes'),
    ],
  },
];

/** What is usual for the models that the crews have, as the depot wrote it down. */
export const DEMO_MODELS = [
  { name: 'Brask 66', bar: '45 cm', mount: 'M2', pitch: '.325', gauge: '.050', links: '72DL', sprocketKind: 'rim' },
  { name: 'Brask 66', bar: '38 cm', mount: 'M2', pitch: '.325', gauge: '.050', links: '64DL', sprocketKind: 'rim' },
  { name: 'Brask 90', bar: '60 cm', mount: 'M5', pitch: '3/8', gauge: '.063', links: '84DL', sprocketKind: 'rim' },
  { name: 'Ondral 38', bar: '35 cm', mount: 'M1', pitch: '3/8LP', gauge: '.050', links: '52DL', sprocketKind: 'spur' },
  { name: 'Velm E18', bar: '30 cm', mount: 'M1', pitch: '3/8LP', gauge: '.043', links: '44DL', sprocketKind: 'spur' },
].map((model) => ({
  ...model,
  sprocketKind: model.sprocketKind as 'rim' | 'spur',
  ...{ teeth: model.sprocketKind === 'rim' ? 7 : 6, splines: model.sprocketKind === 'rim' ? 7 : null },
}));
