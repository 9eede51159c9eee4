import { useEffect, useState } from 'react';
import type { GearAct, SawName } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { sawText } from '../../../wording';
import { api, failure } from '../../frame/api';
import { Form, Refusal, SelectField, SendButton, useSentForm } from '../../frame/form';
import { useSay } from './say';
import * as texts from '#language/screens/gear';

interface OtherSawProps {
  /** The saw whose customer's other saws are offered. */
  readonly of: string;
  readonly label: string;
  /** What it means, before it is done. */
  readonly means: string;
  readonly send: string;
  readonly act: (other: string) => GearAct;
}

/** Another saw of the customer is chosen: the record that this one is one with, or where a piece went. */
export function OtherSaw({ of, ...rest }: OtherSawProps) {
  const [others, setOthers] = useState<readonly SawName[] | string | null>(null);
  useEffect(() => {
    api
      .get<readonly SawName[]>(`/api/gear/saws/${of}/others`)
      .then(setOthers, (error: unknown) => setOthers(failure(error, texts.sawsNotFetched)));
  }, [of]);
  if (others === null) return <p className="text-ink-soft">{texts.fetchingTheSaws}</p>;
  if (typeof others === 'string') return <Notice kind="error">{others}</Notice>;
  if (others.length === 0) return <p>{texts.noOtherSaw}</p>;
  return <Choice others={others} {...rest} />;
}

function Choice({
  others,
  label,
  means,
  send,
  act,
}: Omit<OtherSawProps, 'of'> & { readonly others: readonly SawName[] }) {
  const say = useSay();
  const form = useSentForm({
    start: { other: others[0]!.id },
    send: ({ other }) => say(act(other)),
    otherwise: texts.itWasNotSaved,
  });
  return (
    <Form form={form}>
      <p>{means}</p>
      <SelectField form={form} name="other" label={label} options={others.map((saw) => [saw.id, sawText(saw)])} />
      <Refusal form={form} />
      <SendButton form={form} className="justify-self-start">
        {send}
      </SendButton>
    </Form>
  );
}
