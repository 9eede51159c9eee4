/** Gear: saws with what is on them, customers with their saws, pieces with their lives. */
export { customerGear, gearView } from './gear';
export { sawGearView } from './saw';
export { pieceView } from './piece';
export { dueAsCalendar, dueAsCsv } from './due-files';
export { changeGear } from './change';
export { pieceTagged } from './pieces';
export { otherSawsOf } from './said';
export { takeInSaws } from './saw-list';
export { modelMemory, modelOffer, modelRows, modelsView } from './models';
export { allSawsRows, allSawsView } from './all-saws';
export { allCustomersRows, allCustomersView } from './all-customers';
