/** Letters of the longest name of a customer, in every form and request. */
export const LONGEST_CUSTOMER = 160;
