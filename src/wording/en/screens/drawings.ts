// Several of them
export const notMeasured = 'not measured';
export const replace = 'replace';

// TakesChart
export const takesAndMean = (count: number, figure: string, more: string): string =>
  `${count} takes, mean ${figure} mm${more}`;
export const plotOfTheTakes = (said: string): string => `Plot of the takes: ${said}`;
export const blockMm = (figure: string): string => `, block ${figure} mm`;

// BarPlan
export const barFromItsStampedSide = 'The bar from its stamped side, to scale';
export const edgeStation = (edge: string, number: number, position: string, more: string): string =>
  `Edge ${edge}, station ${number} at ${position}, ${more}`;

// CrossSection
export const nearSide = 'near side';
export const farSide = 'far side';
export const rule = 'rule';
export const drawnByEye = (list: string): string => `drawn by eye: ${list}`;
export const drawnByEyeToo = (list: string): string => `drawn by eye: ${list},`;
export const barThickness = 'bar thickness';
export const grooveWidth = 'groove width';
export const nearRailFarRail = (more: string, further: string): string => `near rail ${more}, far rail ${further}`;
export const roomUnderTheLink = (length: string): string => `, room under the link ${length}`;
export const linkLeans = (figure: string): string => `, the link leans ${figure} degrees`;
export const crossSectionOfTheEdge = (depths: string, room: string, tilt: string): string =>
  `Cross-section of the edge: ${depths}${room}${tilt}.`;
export const room = (length: string): string => `room ${length}`;

// CutterRibbon
export const theLoopToBeMoved = 'The loop, to be moved sideways';
export const loopUnrolled = 'The loop unrolled: cutters left and right';
export const left = 'Left';
export const right = 'Right';

// EdgeProfile
export const nearNotMeasured = 'near not measured';
export const near = (length: string): string => `near ${length}`;
export const farNotMeasured = 'far not measured';
export const far = (length: string): string => `far ${length}`;
export const afterTheReworkNear = (length: string): string => `after the rework near ${length}`;
export const stationSaid = (edge: string, number: number, position: string, said: string): string =>
  `Edge ${edge}, station ${number} at ${position}: ${said}`;

// GaugeHeight
export const noDepthGaugeMeasured = 'No depth gauge measured';
export const gaugeHeights = (length: string, second: string, more: string): string =>
  `Highest depth gauge ${length} below the edge, lowest ${second}${more}`;
export const edgeOfTheCutter = 'edge of the cutter';
export const highest = (length: string): string => `highest ${length}`;
export const lowest = (length: string): string => `lowest ${length}`;
export const setting = (length: string): string => `, setting ${length}`;

// LogSection
export const noCurve = 'No curve: the lean is not measured.';
export const cutDrifts = (length: string, second: string, side: string): string =>
  `At ${length} deep the cut drifts about ${second} to the ${side}.`;
export const itCutStraight = 'It cut straight.';
export const itCutAside = (length: string, side: string): string => `It cut ${length} to the ${side}.`;
export const leftwards = 'left';
export const rightwards = 'right';

// PitchScale
export const measuredPitch = (length: string, second: string): string =>
  `Measured pitch ${length}, give or take ${second}`;
export const familiesByPitch = 'Families by pitch';

// PushPull
export const notMeasuredYet = 'Not measured yet';
export const grown = (figure: string, watch: number, limit: number): string =>
  `Grown by ${figure} percent, watch from ${watch}, limit ${limit}`;
export const pushedTogether = 'pushed together';
export const pulledApart = (more: string): string => `pulled apart${more}`;
export const aJoint = (length: string): string => `${length} a joint`;
export const playMagnified = (times: number): string => `, play ${times} times as large`;

// RailProfile
export const leastDepth = (length: string): string => `least depth ${length}`;
export const linkWithRoom = (length: string, second: string): string => `link with ${length} room ${second}`;
export const unrolledRailProfile = 'Unrolled rail profile';
export const depth = (more: string): string => `depth${more}`;
export const tailOfEdge = 'tail · edge A';
export const tailOfEdgeB = 'edge B · tail';
export const doubt = 'doubt';
export const nearRail = 'near rail';
export const farRail = 'far rail';
export const metalToComeOff = 'metal to come off';
export const rutOrPit = 'rut or pit';
export const rutDeep = (depth: string): string => `rut or pit ${depth} deep`;
export const after = 'after';
export const nose = 'nose';
export const from = (length: string): string => ` from ${length}`;

// SprocketTooth
export const wearNotMeasured = 'Wear not measured';
export const groovesWorn = (length: string, second: string, third: string): string =>
  `Grooves worn ${length} deep; watch from ${second}, replace above ${third}`;
export const driveLink = 'drive link';
export const watch = 'watch';
export const isMeasured = 'measured';
