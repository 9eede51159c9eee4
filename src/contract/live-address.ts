/** Where changes are told from. */
export const LIVE_ADDRESS = '/api/live';
