import type { FieldValues, Path } from 'react-hook-form';
import { TextField, type SentForm } from '../../frame/form';
import { newPasswordHint } from '#language/screens/people';
import * as texts from '#language/screens/shops';

interface OwnersPasswordProps<V extends FieldValues> {
  readonly form: SentForm<V>;
  readonly name: Path<V>;
}

/** The first password of a shop's owner, with what a good one is. */
export function OwnersPassword<V extends FieldValues>({ form, name }: OwnersPasswordProps<V>) {
  return (
    <>
      <TextField
        form={form}
        name={name}
        label={texts.ownersPassword}
        autoComplete="off"
        rules={{ required: newPasswordHint }}
      />
      <p className="text-sm text-ink-soft">
        {newPasswordHint} {texts.tellThem}
      </p>
    </>
  );
}
