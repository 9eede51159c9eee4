const RULES = new Intl.PluralRules('en');

/** A form for each category of plural that the language has; `#` stands for the count. */
export type PluralForms = { readonly other: string } & Readonly<Partial<Record<Intl.LDMLPluralRule, string>>>;

/** What is counted, in the form that its count asks for: `1 job`, `3 jobs`. */
export const plural = (count: number, forms: PluralForms): string =>
  (forms[RULES.select(count)] ?? forms.other).replaceAll('#', String(count));
