import { useMemo, useState } from 'react';
import { CUSTOMER_PRICES, STYLES, type ShopFacts, type ShopView } from '../../contract';
import { Notice } from '../../ui/parts/Notice';
import { customerPriceWord, money, shopMoment, UNNAMED } from '../../wording';
import { api } from '../frame/api';
import { Form, Refusal, SelectField, SendButton, TextField, useSentForm, useStanding } from '../frame/form';
import { useFrame } from '../frame/frame-context';
import { useHydrated } from '../frame/hydrated';
import { useChangedHere } from '../frame/server-data';
import * as common from '#language/screens/common';
import * as texts from '#language/screens/shop';
import { keptWithoutShop } from '#language/screens/offline';

/** Facts as they may be half chosen: what does not exist shows no example. */
function example(facts: ShopFacts): string {
  try {
    return `${money(123450, facts)}, ${shopMoment('2026-12-31T15:30:00Z', facts)}`;
  } catch {
    return texts.noSuchCurrencyOrZone;
  }
}

const CHOICES = [
  { key: 'currency', label: texts.currency, list: Intl.supportedValuesOf('currency') },
  { key: 'timeZone', label: texts.timeZone, list: Intl.supportedValuesOf('timeZone') },
] as const;

const NONE: readonly string[] = [];

const UNITS = [
  ['mm', texts.millimetres],
  ['in', texts.inches],
] as const;

/** What the shop says of itself: its name, its currency, where it stands, and how it writes numbers and dates. */
export function About({ shop, onWritten }: { readonly shop: ShopView; readonly onWritten?: () => Promise<unknown> }) {
  const { who } = useFrame();
  const changedHere = useChangedHere();
  const [isWritten, setIsWritten] = useState(false);
  // The server may know other zones and currencies than this browser does.
  const isHere = useHydrated();
  const { name, currency, timeZone, style, unit, customerPrice } = shop;
  const stands = useMemo(
    () => ({ name, currency, timeZone, style, unit, customerPrice }) as ShopFacts,
    [name, currency, timeZone, style, unit, customerPrice],
  );
  const form = useSentForm<ShopFacts>({
    start: stands,
    send: async (facts) => {
      await api.put('/api/shop', { ...facts, by: who || UNNAMED, was: stands }).finally(changedHere);
      form.reset(facts);
      await onWritten?.();
      setIsWritten(true);
    },
    otherwise: common.notStored,
  });
  useStanding(form, stands);
  const { isDirty, errors } = form.formState;
  return (
    <Form form={form} className="grid max-w-xl gap-3">
      <TextField form={form} name="name" label={texts.nameOfTheShop} maxLength={80} />
      <div className="grid grid-cols-2 gap-3 max-md:grid-cols-1">
        {CHOICES.map(({ key, label, list }) => (
          <TextField key={key} form={form} name={key} label={label} offers={isHere ? list : NONE} />
        ))}
      </div>
      <div className="grid grid-cols-2 gap-3 max-md:grid-cols-1">
        <SelectField
          form={form}
          name="style"
          label={texts.datesAndNumbersAreWritten}
          options={Object.entries(STYLES)}
        />
        <SelectField form={form} name="unit" label={texts.unitOfLengths} options={UNITS} />
      </div>
      <p className="text-sm text-ink-soft">
        {texts.so} <span className="figures text-ink">{example(form.watch())}</span>
      </p>
      <SelectField
        form={form}
        name="customerPrice"
        label={texts.priceOnTheCustomersPage}
        options={CUSTOMER_PRICES.map((each) => [each, customerPriceWord[each]])}
      />
      <Refusal form={form} />
      {isWritten && !isDirty && !errors.root && <Notice kind="good">{texts.writtenDown}</Notice>}
      <SendButton form={form} className="justify-self-start">
        {texts.writeItDown}
      </SendButton>
      <a className="inline-grid min-h-11 items-center justify-self-start underline" href="/offline/kept">
        {keptWithoutShop}
      </a>
    </Form>
  );
}
