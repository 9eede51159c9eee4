import type { FieldValues, Path } from 'react-hook-form';
import type { OwnerView } from '../../../contract';
import { isSameName } from '../../../core/same-name';
import { api } from '../../frame/api';
import { TextField, type SentForm } from '../../frame/form';
import { useFound } from '../../frame/server-data';
import * as texts from '#language/screens/people';

const ownersAt = (typed: string): string => `/api/customers?name=${encodeURIComponent(typed.trim())}`;

/** The customer that somebody typed; null where none is called so. */
export async function customerCalled(typed: string): Promise<string | null> {
  const found = await api.get<readonly OwnerView[]>(ownersAt(typed));
  return found.find(({ name }) => isSameName(name, typed))?.id ?? null;
}

/** The customer whose saws a reader sees, by name. */
export function CustomerChoice<V extends FieldValues>({
  form,
  name,
  typed,
}: {
  readonly form: SentForm<V>;
  readonly name: Path<V>;
  readonly typed: string;
}) {
  const { items, older } = useFound<OwnerView>(typed, ownersAt);
  return (
    <TextField
      form={form}
      name={name}
      label={texts.customer}
      placeholder={texts.noCustomerYet}
      offers={(items ?? older).map((each) => each.name)}
      rules={{ validate: (value) => String(value).trim() !== '' || texts.chooseCustomer }}
    />
  );
}
