import { renderToStaticMarkup } from 'react-dom/server';
import { describe, expect, it } from 'vitest';
import { BarPlan } from './BarPlan';
import { CrossSection, type SectionFigures } from './CrossSection';
import { PitchScale } from './PitchScale';
import type { ProfileBand, ProfilePoint } from './profile-frame';
import { RailProfile } from './RailProfile';
import { linear, path, ticks } from './scale';

const show = (mm: number) => `${mm.toFixed(2)} mm`;
const nothing = () => undefined;

const section: SectionFigures = {
  near: 8.1,
  far: 7.7,
  mouth: 1.44,
  deep: 1.35,
  deepAt: 3,
  barThickness: 4.2,
  linkThickness: 1.26,
  tang: 5.2,
  kerf: 6.9,
  tipHeight: 10.5,
  lean: 1.2,
  clearance: 2.5,
  target: 7.75,
};
const unmeasured: SectionFigures = {
  ...section,
  near: null,
  far: null,
  mouth: null,
  deep: null,
  deepAt: null,
  barThickness: null,
  linkThickness: null,
  tang: null,
  kerf: null,
  tipHeight: null,
  lean: null,
  clearance: null,
  target: null,
};

describe('scales', () => {
  it('map a range onto another and survive an empty one', () => {
    expect(linear([0, 10], [100, 200])(5)).toBe(150);
    expect(linear([3, 3], [100, 200])(3)).toBe(100);
  });

  it('tick at round steps inside the range', () => {
    expect(ticks(5.5, 8.7, 5)).toEqual([6, 7, 8]);
    expect(ticks(0, 1, 5).map((tick) => Number(tick.toFixed(6)))).toEqual([0, 0.2, 0.4, 0.6, 0.8, 1]);
    expect(ticks(4, 4, 5)).toEqual([4]);
  });

  it('lift the pen over a gap', () => {
    expect(path([{ x: 0, y: 1 }, null, { x: 2, y: 3 }, { x: 4, y: 5 }])).toBe('M0.00 1.00M2.00 3.00L4.00 5.00');
    expect(path([])).toBe('');
  });
});

describe('the cross-section', () => {
  it('says its figures and turns the link by the lean, exaggerated as asked', () => {
    const drawn = renderToStaticMarkup(<CrossSection figures={section} exaggeration={3} show={show} />);
    expect(drawn).toContain(
      'near rail 8.10 mm, far rail 7.70 mm, room under the link 2.50 mm, the link leans 1.2 degrees',
    );
    expect(drawn).toMatch(/rotate\(3\.600 /);
    expect(drawn).not.toContain('drawn by eye');
  });

  it('draws what is not measured dashed, and says so', () => {
    const drawn = renderToStaticMarkup(<CrossSection figures={unmeasured} exaggeration={1} show={show} />);
    expect(drawn).toContain('drawn by eye: bar thickness, groove width,');
    expect(drawn).toContain('link, tang');
    expect(drawn).toContain('near rail not measured');
    expect(drawn).toContain('stroke-dasharray');
    expect(drawn).not.toMatch(/NaN|Infinity/);
  });

  it('shades the metal that comes off the high rail only', () => {
    const count = (target: number | null) =>
      renderToStaticMarkup(<CrossSection figures={{ ...section, target }} exaggeration={1} show={show} />).split(
        'stroke-brass',
      ).length - 1;
    expect(count(null)).toBe(0);
    expect(count(7.75)).toBeGreaterThan(0);
    expect(count(7.5)).toBeGreaterThan(count(7.75));
  });
});

const point = (
  key: string,
  at: number,
  near: number | null,
  far: number | null,
  target: number | null = null,
  after: { nearAfter: number | null; farAfter: number | null } = { nearAfter: null, farAfter: null },
): ProfilePoint => ({ key, at, near, far, nearBelieved: near, farBelieved: far, target, rut: null, ...after });

describe('the rail profile', () => {
  const drawn = (
    edges: { A: ProfilePoint[]; B: ProfilePoint[] },
    limit: number | null = 6,
    bands: { A: ProfileBand[]; B: ProfileBand[] } = { A: [], B: [] },
  ) =>
    renderToStaticMarkup(
      <RailProfile
        edges={edges}
        bands={bands}
        limit={limit}
        tang={5.2}
        room={1}
        selected={{ edge: 'A', key: '1' }}
        onSelect={nothing}
        show={show}
        showPosition={show}
      />,
    );

  it('names every station with its depths, the limit and the link', () => {
    const svg = drawn({ A: [point('0', 60, 8.1, 8, 7.9), point('1', 140, 8, null)], B: [point('0', 60, 8, 8)] });
    expect(svg).toContain('Edge A, station 1 at 60.00 mm: near 8.10 mm, far 8.00 mm');
    expect(svg).toContain('Edge A, station 2 at 140.00 mm: near 8.00 mm, far not measured');
    expect(svg).toContain('least depth 6.00 mm');
    expect(svg).toContain('link with 1.00 mm room 6.20 mm');
    expect(svg).toContain('aria-pressed="true"');
  });

  it('draws what is believed as a line in its doubt, and makes room for it', () => {
    const place = (at: number, half: number) => ({ at, near: 8, far: 7.9, half });
    const band = (half: number) =>
      drawn({ A: [point('0', 60, 8.1, 8)], B: [] }, null, { A: [place(60, half), place(140, half)], B: [] });
    expect(band(0.1)).toContain('fill-slate opacity-15');
    expect(band(0.1)).not.toMatch(/NaN|Infinity/);
    expect(band(3)).toContain('depth from');
    expect(band(3)).not.toBe(band(0.1));
  });

  it('draws a rut from the lower rail down, makes room for it, and says it', () => {
    const rutted = (rut: number | null) =>
      drawn({ A: [{ ...point('0', 60, 8.1, 8), rut }, point('1', 140, 8, 8)], B: [] });
    expect(rutted(1.5)).toContain('near 8.10 mm, far 8.00 mm, rut or pit 1.50 mm deep');
    expect(rutted(1.5)).toContain('fill-oxide');
    expect(rutted(3)).toContain('depth from 4.50 mm');
    for (const none of [null, 0]) expect(rutted(none)).not.toContain('rut or pit');
    // Without a rail nobody knows where its bottom stands.
    expect(drawn({ A: [{ ...point('0', 60, null, null), rut: 1 }], B: [] })).not.toMatch(/rut or pit|NaN/);
  });

  it('draws an empty bar without a broken number', () => {
    expect(drawn({ A: [], B: [] }, null)).not.toMatch(/NaN|Infinity/);
  });
});

describe('the bar to scale', () => {
  const drawn = (length: number | null, hardNose = false) =>
    renderToStaticMarkup(
      <BarPlan
        length={length}
        height={length && 58}
        hardNose={hardNose}
        stations={{ A: [{ key: '0', at: 60, measured: true }], B: [{ key: '0', at: 60, measured: false }] }}
        selected={null}
        onSelect={nothing}
        showPosition={show}
      />,
    );

  it('is drawn dashed while its length is not measured', () => {
    expect(drawn(520)).not.toContain('stroke-dasharray="6 4"');
    expect(drawn(null)).toContain('stroke-dasharray="6 4"');
  });

  it('tells measured stations from open ones in words', () => {
    expect(drawn(520)).toContain('Edge A, station 1 at 60.00 mm, measured');
    expect(drawn(520)).toContain('Edge B, station 1 at 60.00 mm, not measured');
  });

  it('has a sprocket only where the nose has one', () => {
    expect(drawn(520).split('<circle').length).toBeGreaterThan(drawn(520, true).split('<circle').length);
  });
});

describe('the pitch scale', () => {
  const bands = [{ label: '.325', lo: 8.2, hi: 8.3, stretched: 8.55, weight: 1 }];

  it('puts the reading with its doubt among the families', () => {
    const svg = renderToStaticMarkup(<PitchScale bands={bands} reading={{ pitch: 8.27, doubt: 0.02 }} show={show} />);
    expect(svg).toContain('Measured pitch 8.27 mm, give or take 0.02 mm');
  });

  it('leaves a reading off its end away', () => {
    expect(
      renderToStaticMarkup(<PitchScale bands={bands} reading={{ pitch: 19, doubt: 0.1 }} show={show} />),
    ).toContain('Families by pitch');
  });
});
