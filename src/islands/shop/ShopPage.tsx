import { useId, useState, type FormEvent } from 'react';
import { DEFAULT_LIMITS, LIMIT_IDS, type Limit, type LimitId } from '../../core/limits';
import type { ShopPageView } from '../../contract';
import { Notice } from '../../ui/parts/Notice';
import { Tabbed, TabList, TabPanel } from '../../ui/parts/Tabs';
import { shopDay, limitName, provenanceWord } from '../../wording';
import { api, failure } from '../frame/api';
import { Frame } from '../frame/Frame';
import { useFrame } from '../frame/frame-context';
import { About } from './About';
import { Codes } from './Codes';
import { SchoolChoices } from './SchoolChoices';
import { Supplier } from './Supplier';
import { UNNAMED, type Preferences } from '../frame/preferences';
import { ServerData, useServerData, useChangedHere } from '../frame/server-data';

const VIEWS = { limits: 'Limits', about: 'About', codes: 'Codes', schools: 'Schools', supplier: 'Supplier' } as const;
type View = keyof typeof VIEWS;

interface ShopPageProps {
  readonly view: ShopPageView;
  readonly preferences: Preferences;
  /** The view asked for in the address. */
  readonly asked: string;
}

/** Shop: the limits every judgement is made with, the codes the shop has learned, and the supplier it practises with. */
export function ShopPage(props: ShopPageProps) {
  return (
    <ServerData>
      <Shop {...props} />
    </ServerData>
  );
}

function Shop({ view: arrived, preferences, asked }: ShopPageProps) {
  const view = useServerData('/api/shop', arrived);
  const [chosen, setChosen] = useState<View>(
    () => (Object.keys(VIEWS) as View[]).find((each) => each === asked) ?? 'limits',
  );
  const choose = (next: View) => {
    setChosen(next);
    window.history.replaceState(null, '', `/shop?view=${next}`);
  };
  return (
    <Frame shop={view.shop} preferences={preferences} place="shop">
      <Tabbed chosen={chosen} onChoose={choose}>
        <div className="mb-3 flex flex-wrap items-center gap-x-6">
          <h1 className="text-2xl font-extrabold">Shop</h1>
          <TabList label="Shop" tabs={(Object.keys(VIEWS) as View[]).map((id) => ({ id, name: VIEWS[id] }))} />
        </div>
        <TabPanel of={chosen}>
          {chosen === 'limits' && <Limits view={view} />}
          {chosen === 'about' && <About shop={view.shop} />}
          {chosen === 'codes' && <Codes codes={view.codes} />}
          {chosen === 'schools' && <SchoolChoices schools={view.schools} />}
          {chosen === 'supplier' && <Supplier mood={view.supplier} />}
        </TabPanel>
      </Tabbed>
    </Frame>
  );
}

function Limits({ view }: { view: ShopPageView }) {
  const { limits } = view;
  return (
    <>
      <p className="mb-3 max-w-prose text-ink-soft">
        Defaults of a shop, not of the trade. Where the saw’s maker gives a figure, write it here with its source: it
        wins. Signed-off verdicts keep the limits they were made with.
      </p>
      <div className="border-t-2 border-ink">
        {LIMIT_IDS.map((id) => (
          <LimitRow key={id} id={id} limit={limits[id]} />
        ))}
      </div>
      <Changes changes={view.changes} />
    </>
  );
}

function LimitRow({ id, limit }: { id: LimitId; limit: Limit }) {
  const { who } = useFrame();
  const changedHere = useChangedHere();
  // What is half typed stays, even where the limit is changed elsewhere meanwhile.
  const [typed, setTyped] = useState<{ value?: string; source?: string }>({});
  const { value = String(limit.value), source = limit.source ?? '' } = typed;
  const [refused, setRefused] = useState<string | null>(null);
  const errorId = useId();
  const touched = value !== String(limit.value) || source !== (limit.source ?? '');
  const send = async (next: string | null) => {
    try {
      await api.put(`/api/limits/${id}`, {
        by: who || UNNAMED,
        value: next,
        source: next === null || source.trim() === '' ? null : source,
      });
      await changedHere();
      setTyped({});
      setRefused(null);
    } catch (error) {
      setRefused(failure(error, 'The limit was not saved.'));
    }
  };
  const submit = (event: FormEvent) => {
    event.preventDefault();
    void send(value);
  };
  return (
    <form
      onSubmit={submit}
      className="grid grid-cols-[minmax(0,1.6fr)_11rem_minmax(0,1fr)_minmax(0,1fr)_9rem] items-center gap-3 border-b border-line py-1.5 max-md:grid-cols-2"
    >
      <span>
        <span className="block font-semibold">{limitName[id]}</span>
        <span className="figures text-sm text-ink-soft">{id}</span>
      </span>
      <label className="flex items-center gap-1.5">
        <span className="sr-only">{limitName[id]}</span>
        <input
          className="entry w-24 figures"
          value={value}
          aria-invalid={refused !== null}
          aria-describedby={errorId}
          onChange={({ target }) => setTyped({ ...typed, value: target.value })}
        />
        <span className="figures text-sm">{limit.unit === 'count' ? '' : limit.unit}</span>
      </label>
      <span className="text-sm">{provenanceWord[limit.provenance]}</span>
      <label className="grid">
        <span className="sr-only">Source of {limitName[id]}, where it is a maker’s figure</span>
        <input
          className="entry w-full"
          placeholder="maker’s source"
          value={source}
          onChange={({ target }) => setTyped({ ...typed, source: target.value })}
        />
      </label>
      <span className="flex gap-2">
        {touched && (
          <button type="submit" className="act px-3">
            Save
          </button>
        )}
        {!touched &&
          (limit.provenance === 'shop' || limit.provenance === 'published') &&
          limit.value !== DEFAULT_LIMITS[id].value && (
            <button type="button" className="quiet px-3" onClick={() => void send(null)}>
              Back to {DEFAULT_LIMITS[id].value}
            </button>
          )}
      </span>
      <div id={errorId} className="col-span-full">
        {refused && <Notice kind="error">{refused}</Notice>}
      </div>
    </form>
  );
}

function Changes({ changes }: { changes: ShopPageView['changes'] }) {
  const { shop } = useFrame();
  if (changes.length === 0) return null;
  return (
    <section className="mt-6">
      <h2 className="text-lg font-bold">Changed</h2>
      <ul>
        {changes.map(({ limitId, text, at, by }) => (
          <li key={`${limitId}${at}`} className="border-b border-line py-1.5">
            {limitName[limitId]} <strong>{text}</strong>, by {by}, {shopDay(at, shop)}
          </li>
        ))}
      </ul>
    </section>
  );
}
