/** Words that several readings have in common. */
export const YES_NO = { yes: 'yes', no: 'no' } as const;
export const EDGE = { A: 'A (stamp upright)', B: 'B' } as const;
export const PITCH = {
  '38': '3/8 std',
  '325': '.325',
  '404': '.404',
  quarter: '1/4',
  '38lp': '3/8 LP',
  '3/8': '3/8 only',
} as const;
export const RESIN = { none: 'none', soft: 'soft', baked: 'baked on' } as const;
export const CRACK = { no: 'none found', yes: 'cracked', unsure: 'not sure' } as const;
export const GUARD = { ok: 'whole', damaged: 'damaged', missing: 'missing' } as const;
export const KICKBACK_CLASS = { 'low-kickback': 'low-kickback', standard: 'standard' } as const;
export const SEQUENCE = {
  'full-complement': 'full complement',
  'semi-skip': 'semi-skip',
  'full-skip': 'full skip',
} as const;
export const SPROCKET_KIND = { spur: 'spur', rim: 'rim and drum' } as const;
export const TURNS = { free: 'freely', rough: 'roughly', seized: 'seized' } as const;
