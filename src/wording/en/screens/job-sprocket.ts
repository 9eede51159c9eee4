// sprocket
export const driveSprocket = 'Drive sprocket';
export const lookedAtWithEveryChain = 'Looked at with every chain change.';
export const howItHasRun = 'How it has run';
export const whatItIs = 'What it is';
export const drumBearingClip = 'Drum, bearing, clip';
export const wear = 'Wear';
export const noseOfTheBar = 'Nose of the bar';
export const theSameFindingsAsUnder = 'the same findings as under Bar';
export const howAnotherGoes = 'How another one goes on';
