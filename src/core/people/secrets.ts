/**
 * Letters a password has at least and at most.
 * Source: OWASP Application Security Verification Standard 4.0.3, 2.1.1 and 2.1.2.
 */
export const PASSWORD_LETTERS = { least: 12, most: 128 } as const;

/** Digits of a PIN. It counts on a bench that somebody is signed in at, and only for some tries. */
export const PIN_DIGITS = { least: 4, most: 8 } as const;

/** Wrong PINs in a row after which only the password helps. */
export const PIN_TRIES = 5;

/** What is wrong with a password or a PIN that is to be set. */
export type SecretProblem = 'too-short' | 'too-long' | 'common' | 'own-name' | 'not-digits' | 'too-plain';

/**
 * What speaks against a password. Length counts, kinds of letters do not.
 * @param common whether it is on the list of those that are tried first
 * @param name whose it is to be
 */
export function passwordProblem(
  password: string,
  common: (password: string) => boolean,
  name: string,
): SecretProblem | null {
  const letters = [...password].length;
  if (letters < PASSWORD_LETTERS.least) return 'too-short';
  if (letters > PASSWORD_LETTERS.most) return 'too-long';
  const plain = password.toLowerCase();
  if (plain.replaceAll(' ', '').startsWith(name.toLowerCase().replaceAll(' ', '')) && letters < name.length + 6)
    return 'own-name';
  // A common one said twice, or with some digits behind it, is tried as soon.
  const core = plain.replace(/[\d\W_]+$/, '');
  const half = plain.slice(0, letters / 2);
  if (common(plain) || (core !== plain && common(core)) || (half + half === plain && common(half))) return 'common';
  return new Set(plain).size < 5 ? 'too-plain' : null;
}

/** Whether each digit follows from the one before by the same step: 1111, 1234, 9876. */
function isRow(digits: string): boolean {
  const steps = [...digits].slice(1).map((digit, i) => Number(digit) - Number(digits[i]));
  return steps.every((step) => step === steps[0] && Math.abs(step) <= 1);
}

/** What speaks against a PIN. */
export function pinProblem(pin: string): SecretProblem | null {
  if (!/^\d*$/.test(pin)) return 'not-digits';
  if (pin.length < PIN_DIGITS.least) return 'too-short';
  if (pin.length > PIN_DIGITS.most) return 'too-long';
  return isRow(pin) ? 'too-plain' : null;
}
