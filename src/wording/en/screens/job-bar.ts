// Several of them
export const station = 'Station';

// ExportDrawing
export const drawing = (label: string): string => `${label} as`;
export const drawingOf = (name: string): string => `of ${name}`;
export const drawingNotGiven = 'The drawing could not be given out. Try again when the server can be reached.';

// FinerFields
export const takeThisStationOff = 'Take this station off';

// LookOver
export const glovesAtTheRailEdges =
  'Gloves at the rail edges. With compressed air: eye protection, blow away from the nose, never spin the nose bearing.';
export const tail = 'Tail';
export const oneFindingATap = 'one finding a tap, in the order hands move along a bar';
export const body = 'Body';
export const grooveAndRails = 'Groove and rails';
export const nose = 'Nose';
export const sizes = 'Sizes';

// Measure
export const edgeA = 'edge A';
export const edgeB = 'edge B';
export const alongABar = 'along a bar: near, far, mouth, next station';
export const moveBetweenStationsAndReadings = 'move between stations and readings';
export const whichEdge = 'A is down when the stamp reads upright, near is the stamped side. A reading keeps its tool;';
export const changesTheTool = 'in a field changes it.';
export const profile = 'profile';
export const edge = 'Edge';
export const edgeNamed = (each: string): string => `Edge ${each}`;
export const read = (name: string): string => `${name} by`;
export const measuredWith = (name: string): string => `${name}: measured with`;
export const depths = 'Depths';
export const widths = 'Widths';

// Section
export const setLean = 'set lean';
export const crossSectionEdgeStation = (edge: string, number: number): string =>
  `Cross-section, edge ${edge}, station ${number}`;
export const edgeStation = (edge: string, number: number): string => `Edge ${edge}, station ${number}`;
export const atPosition = (position: string): string => `at ${position}`;
export const leanDrawn = (factor: number): string => `Lean drawn ×${factor}`;
export const section = 'section';
export const allReadingsSay = 'All readings together say: near';
export const andFar = ', far';
export const finerReadings = 'Finer readings: width, square, burrs, chips';

// StationTable
export const nearRail = 'near rail';
export const farRail = 'far rail';
export const grooveWidth = 'groove width';
export const stationsOfEdge = (edge: string): string => `Stations of edge ${edge}`;
export const readingOfStation = (edge: string, number: number, label: string): string =>
  `Edge ${edge}, station ${number}, ${label}`;

// WhyCrooked
export const notKnown = 'not known';
export const whatTheWearSays = 'What the wear says';
export const measureBothEdges = 'Measure both edges: the sides of the low rails tell who leans on the saw.';
export const depthOfCut = 'Depth of cut';
export const estimateOfOurOwn = (cuttingEdge: string, length: string, more: string): string =>
  `An estimate of our own, all of it together: the heading follows the lean of edge ${cuttingEdge} over one bar height (${length}${more}) and what the chain adds. Prove sets a test cut beside it, with the factor that the shop’s own cuts have shown.`;
export const aUsualOne = ', a usual one';

// export
export const thisBrowserDrawsNoPictures = 'This browser draws no pictures.';
export const thePictureWasNotMade = 'The picture was not made.';

// bar
export const measure = 'Measure';
export const lookItOver = 'Look it over';
export const whyCrooked = 'Why crooked?';
export const bar = 'Bar';
export const caliper = 'Caliper';
export const step = 'step';
export const rock = 'rock';
export const play = 'play';
export const found = 'found';
export const sound = 'sound';
