/** People of a shop: what they may do, and what their passwords and PINs must be. */
export { PEOPLE_EVENTS, ROLES, SESSION_ENDS, type PeopleEvent, type Role, type SessionEnd } from './roles';
export { passwordProblem, pinProblem, PASSWORD_LETTERS, PIN_DIGITS, PIN_TRIES, type SecretProblem } from './secrets';
