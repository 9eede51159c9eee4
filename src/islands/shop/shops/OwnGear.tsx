import { useMemo, useState } from 'react';
import type { ShareGear, SharingShopView } from '../../../contract';
import { Notice } from '../../../ui/parts/Notice';
import { api } from '../../frame/api';
import { CheckField, Form, Refusal, SendButton, useSentForm, useStanding } from '../../frame/form';
import { useChangedHere } from '../../frame/server-data';
import * as texts from '#language/screens/shops';

/** Whether the others find this shop's customers and their saws. */
export function OwnGear({ own: { sharesGear } }: { readonly own: SharingShopView }) {
  const changedHere = useChangedHere();
  const [isWritten, setIsWritten] = useState(false);
  const stands = useMemo((): ShareGear => ({ sharesGear }), [sharesGear]);
  const form = useSentForm<ShareGear>({
    start: stands,
    send: async (given) => {
      await api.put('/api/shops/sharing', given).finally(changedHere);
      form.reset(given);
      setIsWritten(true);
    },
    otherwise: texts.notChanged,
  });
  useStanding(form, stands);
  return (
    <Form form={form} className="grid max-w-xl gap-3">
      <h2 className="text-lg font-bold">{texts.ownGear}</h2>
      <CheckField form={form} name="sharesGear" label={texts.sharesGear} />
      <p className="text-sm text-ink-soft">{texts.gearSays}</p>
      <Refusal form={form} />
      {isWritten && !form.formState.isDirty && !form.formState.errors.root && (
        <Notice kind="good">{texts.writtenDown}</Notice>
      )}
      <SendButton form={form} className="justify-self-start">
        {texts.writeItDown}
      </SendButton>
    </Form>
  );
}
