import type { GearAct, SawName } from '../../../contract';
import { sawText } from '../../../wording';
import { Form, Refusal, SelectField, SendButton, useSentForm } from '../../frame/form';
import { useSay } from './say';
import * as texts from '#language/screens/gear';

interface OtherSawProps {
  readonly others: readonly SawName[];
  readonly label: string;
  /** What it means, before it is done. */
  readonly means: string;
  readonly send: string;
  readonly act: (other: string) => GearAct;
}

/** Another saw of the customer is chosen: the record that this one is one with, or where a piece went. */
export function OtherSaw({ others, label, means, send, act }: OtherSawProps) {
  const say = useSay();
  const form = useSentForm({
    start: { other: others[0]?.id ?? '' },
    send: ({ other }) => say(act(other)),
    otherwise: texts.itWasNotSaved,
  });
  if (others.length === 0) return <p>{texts.noOtherSaw}</p>;
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
