// CaliperPanel
export const lineLostTryingAgain = 'line lost, trying again';
export const pressTheButton = 'press the button of the simulated caliper';
export const simulatedCaliper = 'Simulated caliper';
export const caliper = (word: string): string => `Caliper ${word}`;
export const batteryLow = (battery: number): string => `battery low, ${battery} %`;
export const takeReading = 'Take reading';
export const hold = 'Hold';
export const addAsRepeats = 'add as repeats';
export const jawsAt = 'Jaws at';
export const plugIn = 'Plug in';
export const pullPlug = 'Pull plug';
export const newBattery = 'New battery';
export const drainBattery = 'Drain battery';
export const putAway = 'Put away';
export const putTheCaretInto = 'Put the caret into a field first: the reading went nowhere.';
