import { useMemo, useId } from 'react';
import { Moon, Sun } from 'lucide-react';
import type { ShopView } from '../../contract';
import { useFrame } from './frame-context';
import { useKeys, type Keys } from './keys';
import { DemoMark } from './DemoMark';
import { Mark } from './Mark';
import { SearchBox } from './SearchBox';
import { WhoIsHere } from './WhoIsHere';
import * as texts from '#language/screens/frame';

/** The places of the application that exist so far. */
export const PLACES = [
  { id: 'bench', name: texts.bench, href: '/', key: 'b' },
  { id: 'counter', name: texts.counter, href: '/counter', key: 'c' },
  { id: 'stock', name: texts.stock, href: '/stock', key: 's' },
  { id: 'gear', name: texts.gear, href: '/gear', key: 'e' },
  { id: 'practice', name: texts.practice, href: '/practice', key: 'p' },
  { id: 'shop', name: texts.shop, href: '/shop', key: 'o' },
] as const;
export type Place = (typeof PLACES)[number]['id'];

function Name() {
  return (
    <a href="/" className="flex items-center gap-2 pr-1" aria-label={texts.serrataToTheBench}>
      <Mark />
      <span className="text-[19px] font-extrabold tracking-tight max-md:sr-only">Serrata</span>
    </a>
  );
}

function UnitSwitch() {
  const { unit, setUnit } = useFrame();
  const name = useId();
  return (
    <fieldset className="flex overflow-hidden rounded-[3px] border border-line-strong">
      <legend className="sr-only">{texts.unit}</legend>
      {(['mm', 'in'] as const).map((each) => (
        <label
          key={each}
          className="grid min-h-10 min-w-11 place-items-center bg-sheet px-2 figures text-sm has-checked:bg-ink has-checked:text-sheet has-focus-visible:outline-3 has-focus-visible:-outline-offset-3 has-focus-visible:outline-steel"
        >
          <input type="radio" name={name} className="sr-only" checked={unit === each} onChange={() => setUnit(each)} />
          {each}
        </label>
      ))}
    </fieldset>
  );
}

function BenchLight() {
  const { bench, setBench } = useFrame();
  const dark = bench === 'dark';
  return (
    <button
      type="button"
      className="grid quiet min-h-10 w-11 place-items-center px-0"
      aria-pressed={dark}
      aria-label={texts.darkBench}
      onClick={() => setBench(dark ? 'light' : 'dark')}
    >
      {dark ? <Sun size={17} aria-hidden="true" /> : <Moon size={17} aria-hidden="true" />}
    </button>
  );
}

interface BandProps {
  readonly place: Place;
  /** Whether a phone gives it one row, that scrolls: the work below comes first. */
  readonly slim: boolean;
  readonly onShop: (shop: ShopView) => void;
}

/** The places of whoever is here: a reader has the one customer they see, and that is on the page. */
const NOWHERE: readonly (typeof PLACES)[number][] = [];

/** The slim band at the top of every place. */
export function Band({ place, slim, onShop }: BandProps) {
  const { unit, setUnit, shop } = useFrame();
  const isReader = shop.me?.role === 'reader';
  const places = isReader ? NOWHERE : PLACES;
  useKeys(
    useMemo(
      () => [
        ...places.map(({ key, name, href }): Keys => ({
          shown: ['g', 'then', key],
          does: texts.goTo(name),
          everywhere: true,
          answer: (pressed, before) => {
            const isMeant = before === 'g' && pressed === key;
            if (isMeant) window.location.assign(href);
            return isMeant;
          },
        })),
        {
          shown: ['u'],
          does: texts.switchUnit,
          everywhere: true,
          on: 'u',
          act: () => setUnit(unit === 'mm' ? 'in' : 'mm'),
        },
      ],
      [unit, setUnit, places],
    ),
  );
  return (
    <header
      className={`no-print sticky top-0 z-30 flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line-strong bg-paper px-4 py-1 max-md:relative ${slim ? 'max-md:flex-nowrap max-md:gap-x-2 max-md:overflow-x-auto max-md:px-2 max-md:py-0.5' : ''}`}
    >
      <Name />
      {!isReader && (
        <>
          <nav aria-label={texts.places} className={`flex flex-none ${slim ? '' : 'max-md:shrink max-md:flex-wrap'}`}>
            {places.map(({ id, name, href }) => (
              <a
                key={id}
                href={href}
                aria-current={id === place ? 'page' : undefined}
                className="grid min-h-11 place-items-center border-b-3 border-transparent px-3 font-semibold text-ink-soft hover:text-ink aria-[current=page]:border-pine aria-[current=page]:text-ink max-md:px-2"
              >
                {name}
              </a>
            ))}
          </nav>
          <div className={slim ? 'contents max-md:hidden' : 'contents'}>
            <SearchBox />
          </div>
        </>
      )}
      <div className="ml-auto flex flex-none items-center gap-2">
        {shop.isDemo && shop.me?.role !== 'reader' && <DemoMark />}
        <UnitSwitch />
        <BenchLight />
        <WhoIsHere onShop={onShop} />
      </div>
    </header>
  );
}
