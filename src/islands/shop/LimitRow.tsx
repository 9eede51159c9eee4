import { useMemo, useState } from 'react';
import { isRate, DEFAULT_LIMITS, type Limit, type LimitId } from '../../core/limits';
import { limitName, provenanceWord, UNNAMED } from '../../wording';
import { Notice } from '../../ui/parts/Notice';
import { api, failure } from '../frame/api';
import { Form, Refusal, useSentForm, useStanding } from '../frame/form';
import { useFrame } from '../frame/frame-context';
import { useChangedHere } from '../frame/server-data';
import { LimitEffect } from './LimitEffect';
import { limitText, limitTyped, unitText } from './limit-text';
import * as texts from '#language/screens/shop';

interface Typed {
  readonly value: string;
  readonly source: string;
}

/**
 * One limit of the shop, to be changed with its source. What is half typed stays, even where the limit is changed
 * elsewhere meanwhile.
 */
export function LimitRow({ id, limit }: { id: LimitId; limit: Limit }) {
  const { shop, who } = useFrame();
  const changedHere = useChangedHere();
  const [notPutBack, setNotPutBack] = useState<string | null>(null);
  const store = async (value: string | null, source: string) => {
    const given = { value: value && limitTyped(value, limit.unit, shop), source: source.trim() === '' ? null : source };
    // Whatever came of it, what stands is shown.
    await api.put(`/api/limits/${id}`, { by: who || UNNAMED, ...given, was: limit.value }).finally(changedHere);
  };
  const stands = useMemo(() => ({ value: limitText(limit, shop), source: limit.source ?? '' }), [limit, shop]);
  const form = useSentForm<Typed>({
    start: stands,
    send: async ({ value, source }) => {
      await store(value, source);
      form.reset({ value, source });
    },
    otherwise: texts.limitNotSaved,
  });
  useStanding(form, stands);
  const putBack = () =>
    void store(null, '').then(
      () => setNotPutBack(null),
      (error: unknown) => setNotPutBack(failure(error, texts.limitNotPutBack)),
    );
  const { isDirty, errors } = form.formState;
  const typed = form.watch('value');
  const isOwn = limit.provenance === 'shop' || limit.provenance === 'published';
  const errorId = `${id}-refused`;
  return (
    <Form
      form={form}
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
          {...form.register('value')}
          aria-invalid={errors.root !== undefined}
          aria-describedby={errorId}
        />
        <span className="figures text-sm">{unitText(limit.unit, shop)}</span>
      </label>
      <span className="text-sm">{provenanceWord[limit.provenance]}</span>
      <label className="grid">
        <span className="sr-only">{texts.sourceOf(limitName[id])}</span>
        <input
          className="entry w-full"
          placeholder={isRate(id) ? texts.whereFrom : texts.makersSource}
          {...form.register('source')}
        />
      </label>
      <span className="flex gap-2">
        {isDirty && (
          <button type="submit" className="act px-3">
            {texts.save}
          </button>
        )}
        {!isDirty && isOwn && limit.value !== DEFAULT_LIMITS[id].value && (
          <button type="button" className="quiet px-3" onClick={putBack}>
            {texts.backToValue(limitText(DEFAULT_LIMITS[id], shop))}
          </button>
        )}
      </span>
      <div id={errorId} className="col-span-full">
        {isDirty && typed !== stands.value && <LimitEffect id={id} value={limitTyped(typed, limit.unit, shop)} />}
        <Refusal form={form} />
        {notPutBack && <Notice kind="error">{notPutBack}</Notice>}
      </div>
    </Form>
  );
}
