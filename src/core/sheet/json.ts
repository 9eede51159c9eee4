/** A value as JSON writes it. */
export type Json = string | number | boolean | Json[] | { [key: string]: Json };
