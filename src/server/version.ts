/** Version of the programme, kept with every sign-off. The same as in package.json; a test holds them together. */
export const PROGRAMME_VERSION = '0.1.0';
