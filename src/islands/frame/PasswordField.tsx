import type { FieldValues, Path } from 'react-hook-form';
import { TextField, type SentForm } from './form';
import * as texts from '#language/screens/people';

interface PasswordFieldProps<V extends FieldValues> {
  readonly form: SentForm<V>;
  readonly name: Path<V>;
  readonly label: string;
  /** Whether it is to be set: what would be right stands below, and password keepers offer one. */
  readonly isNew?: boolean;
}

/** A password, as password keepers know it. */
export function PasswordField<V extends FieldValues>({ form, name, label, isNew = false }: PasswordFieldProps<V>) {
  return (
    <div className="grid gap-1">
      <TextField
        form={form}
        name={name}
        label={label}
        type="password"
        autoComplete={isNew ? 'new-password' : 'current-password'}
        rules={{ required: isNew ? texts.newPasswordHint : texts.writeThePassword }}
      />
      {isNew && <p className="text-sm text-ink-soft">{texts.newPasswordHint}</p>}
    </div>
  );
}
