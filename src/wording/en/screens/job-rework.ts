// Several of them
export const inThisOrder = 'In this order';
export const nothingToRework = 'Nothing to rework';

// BeforeAfter
export const largestStep = 'Largest step';
export const mostSidePlay = 'Most side play';
export const weakestDepth = 'Weakest depth';
export const leastRoomUnderTheLink = 'Least room under the link';
export const beforeAndAfter = 'Before and after';
export const finishedAfterTheRework = (named: string): string => `Finished after the rework: ${named}`;
export const measuredAgainAndNothingSpeaks = 'Measured again, and nothing speaks against it: keep.';
export const notMeasured = 'not measured';
export const noDressingLeft = 'No dressing left at its weakest edge.';
export const goodForAboutMoreDressings = (count: number): string => `Good for about ${count} more dressings.`;

// FitNew
export const newPart = (part: string): string => `${part}: a new one goes on`;
export const fitItUnderRefit =
  'By the signed plan the old one goes. It is taken from the shelf under Order and put on under Refit.';

// ReworkBar
export const levelling = 'Levelling';
export const deburring = 'Deburring';
export const edgeEffort = (edge: string, effort: string): string => `Edge ${edge}: ${effort}`;
export const whereInkStaysAfter =
  'Where ink stays after a pass, the rail is low. Another way of levelling is chosen under Shop.';
export const laminatedBudgetBars = 'Laminated: budget bars of this kind rarely repay much work.';
export const goesBackWithThisEdge = 'Goes back with this edge down';
export const turningOverEvensTheWear = 'turning over evens the wear';
export const noWorkWouldSaveBar = 'No work would save it: the tag says why.';
export const findsABarThatFits = 'finds a bar that fits the saw.';
export const service = 'At every service';
export const thisBarIsFinished = 'This bar is finished';
export const theCounter = 'The counter';
export const barCallsForNoWork =
  'The bar calls for no work as far as it is measured. Work appears here with the readings that call for it.';

// ReworkChain
export const noWorkWouldSaveChain = 'No work would save it: the tag says why. The order slip has its three numbers.';
export const thisChainIsFinished = 'This chain is finished';
export const chainCallsForNoWork =
  'The chain calls for no work as far as it is measured. Work appears here with the readings that call for it.';
export const measureAgain = 'Measure again';
export const whatWasMeasuredAgainStands = 'what was measured again stands in the place of the first measure';
export const leftCutters = 'Left cutters';
export const leftCutterAfter = 'Left cutter after';
export const rightCutters = 'Right cutters';
export const rightCutterAfter = 'Right cutter after';
export const leftDepthGauges = 'Left depth gauges';
export const leftGaugeAfter = 'Left gauge after';
export const rightDepthGauges = 'Right depth gauges';
export const rightGaugeAfter = 'Right gauge after';
export const offEachCutter = 'Off each cutter';
export const untilAllStand = (length: string): string => `until all stand at ${length}`;
export const fileBy = 'File by';
export const theMakersOwnValuesCome = 'the maker’s own values come first';

// ReworkSprocket
export const sprocketCallsForNoWork =
  'The drive sprocket calls for no work as far as it was looked at. Work appears here with the findings that call for it.';
export const nothingToDo = 'Nothing to do';

// TurnOvers
export const edgeHasMoreDepthLeft = (next: string, more: string): string =>
  `Edge ${next} has more depth left: put it down next${more}`;
export const goesBackAsItCame = (edgeDown: string): string => `Goes back as it came, edge ${edgeDown} down.`;
export const turnedOver = (edgeDown: string, edgeDownNow: string): string =>
  `Turned over: ${edgeDown} → ${edgeDownNow}.`;
export const thisShopTurnsBarsOver = (turnOver: string): string => `This shop turns bars over ${turnOver}.`;
export const turnOverLog = 'Turn-over log of this saw';
export const cameAndWentBack = (came: string, went: string): string => `came ${came} down, went back ${went} down`;
export const whichIsHowItCame = ', which is how it came.';
export const turnItOver = ': turn it over.';

// WorkTable
export const untilItShines = 'until it shines';
export const leftOut = 'left out';
export const workOnEdge = (edge: string): string => `Work on edge ${edge}`;
export const edgeTakeOffThenMeasure = (edge: string): string => `Edge ${edge}: take off, then measure again`;
export const at = 'at';
export const nearOff = 'near off';
export const farOff = 'far off';
export const grooveWidth = 'groove width';
export const readingAfter = (name: string): string => `${name} after`;
export const edgeStationAfter = (edge: string, number: number, more: string): string =>
  `Edge ${edge}, station ${number}, ${more} after`;
export const theDipAtIsLeft = (position: string): string => `The dip at ${position} is left as it is.`;
export const edgeDressUntilBothRails = (edge: string): string =>
  `Edge ${edge}: dress until both rails shine, then measure`;

// rework
export const bar = 'Bar';
export const reworkTheBar = 'Rework the bar';
export const chain = 'Chain';
export const reworkTheChain = 'Rework the chain';
export const driveSprocket = 'Drive sprocket';
export const workOnTheSprocket = 'Work on the sprocket';
export const partsToWorkOn = 'Parts to work on';
export const workCardToPrint = 'Work card to print';
