// CutDrawing
export const foreseenAndCut = 'Foreseen and cut';
export const foreseen = 'foreseen';
export const cut = 'cut';
export const barIsNew = 'The bar is new: nothing was measured of it, so nothing is foreseen.';
export const nothingIsForeseen =
  'Nothing is foreseen: depths and groove of the edge that is down, and the tang, tell how the chain leans.';
export const curveIsAnEstimate = 'The curve is the plain model: an estimate of our own.';

// prove
export const proveIt = 'Prove it';
export const atIdle = 'At idle';
export const oil = 'Oil';
export const testCut = 'Test cut';
export const whatItThrows = 'What it throws';
export const noWholeSawCame = 'No whole saw came: nothing here can be started. Parts that came alone are not proved.';
export const proof = 'Proof';
export const proved = 'Proved: oil comes, it cuts straight enough, and it throws chips.';
export const stillToBeLookedAt = (list: string): string => `Still to be looked at: ${list}.`;
export const backToStep = (step: string): string => `Back to ${step}`;
