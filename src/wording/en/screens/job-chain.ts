// Correction
export const whichCuttersToMeasure =
  'All cutters, or the shortest and the longest of each side, say how far everything must be filed back.';
export const allFiledBackTo = 'All filed back to';
export const byCutterAndMark = (side: string, cutter: number, length: string): string =>
  `by ${side} ${cutter}; the mark is at ${length}`;
export const byGaugeAndMark = (side: string, cutter: number, length: string): string =>
  `until the low depth gauge of ${side} ${cutter} stands right; the mark is at ${length}`;
export const filingsLeft = 'Filings left';
export const aboutRunningHours = (hoursLeft: number): string => `about ${hoursLeft} running hours at the shop’s rate`;
export const leftLessRight = 'Left less right';
export const meanLengths = 'mean lengths; the longer side draws the cut';
export const measureBothSides = 'measure both sides';
export const bothSchools = 'Flat spots and chips: both schools';
export const atHalf = 'At half:';
export const atTheMark = 'At the mark:';

// CutterPanel
export const cutter = (name: string): string => `Cutter ${name}`;
export const numberAndEnterTheNext = 'number and Enter: the next';
export const notMeasuredYet = (side: string, measured: number): string =>
  `Not measured. Lengths go in their order: the next is ${side} ${measured}. Damage can be marked all the same.`;
export const toTheSide = (more: string): string => `To the ${more} side`;
export const damageOn = (side: string, cutter: number): string => `Damage on ${side} ${cutter}`;
export const everythingIsFiledBack =
  'Everything is filed back to the worst: a young chain with deep damage can be scrap.';

// Cutters
export const theLeftCutters = 'the left cutters';
export const theRightCutters = 'the right cutters';
export const onTheRibbonAnotherCutter = 'on the ribbon: another cutter';
export const onTheRibbonChippedFlat = 'on the ribbon: chipped, flat spot, burnt corner, wrong angle';
export const onTheRibbonNoDamage = 'on the ribbon: no damage';

// Shape
export const whatItIs = 'What it is';
export const topPlatesAndUndercut = 'Top plates and undercut';
export const linkAndCutterSizes = 'Link and cutter sizes';
export const usedForRoomRock = 'used for room, rock and the play limit of the bar';
export const valuesToBeginWith = 'Values to begin with';
export const makersOwnFirst = 'from memory: the maker’s own come first';
export const groundNotFiledCarbideTakes =
  'Ground, not filed: carbide takes a diamond wheel. Eye protection at the grinder.';
export const depthGauges = 'Depth gauges';
export const heightBelowTheCuttersEdge =
  'height below the cutter’s edge; the more are read, the surer it is that none stands wrong';
export const leftIn = (unit: string): string => `Left, ${unit}`;
export const leftGauge = 'Left gauge';
export const rightIn = (unit: string): string => `Right, ${unit}`;
export const rightGauge = 'Right gauge';

// Stretch
export const layAStretchAlong =
  'Lay a stretch along a straight edge, push it together and mark it, pull it out and mark it. Half the loop will do; any number of joints is taken.';
export const half = (links: number): string => `half: ${links}`;
export const whole = (count: number): string => `whole: ${count}`;
export const whenItWasNew = 'When it was new';
export const aNewChainsOwnFigure = 'a new chain’s own figure; the wear counts over it';

// Underside
export const turnTheChainOver =
  'Turn the chain over and pass it link by link through the fingers, gloves on, in good light.';
export const whatItMayHaveHurt = 'What it may have hurt';
export const itCameOffLook = 'It came off: look at what it may have hurt';

// use-cutters
export const notMeasured = 'not measured';
export const setBack = (length: string): string => `set back ${length}`;

// chain
export const cutters = 'Cutters';
export const shapeAndGauges = 'Shape and gauges';
export const pushAndPull = 'Push and pull';
export const underside = 'Underside';
export const chain = 'Chain';
