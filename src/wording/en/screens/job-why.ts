// why
export const whatAilsIt = 'What ails it';
export const sharesOfTheComplaint =
  'Shares of the complaint, from what was found so far; causes add up, and two may be there at once.';
export const symptoms = 'Symptoms';
export const noSymptomIsSaid =
  'No symptom is said. Say what the saw does, and the causes stand here with what speaks for each.';
export const theComplaintAsSymptoms = 'The complaint, as symptoms';
export const nextCheck = 'Next check';
export const findsOrClears = (inSentence: string): string => `finds or clears that ${inSentence}.`;
export const minutesLong = (minutes: number): string => `${minutes} min`;
export const goThere = 'Go there';
export const nothingLeftToLook = 'Nothing is left to look at that would change what is named first.';
export const causes = 'Causes';
export const hardly = (list: string): string => `Hardly: ${list}.`;
export const thereBeforehand = 'there:';
export const otherSchool = 'other school';
export const speaks = '+ for';
export const speaksAgainst = '− against';
export const theOtherSchoolWeighsThem = (curvedCuts: string): string =>
  `The other school, “${curvedCuts}”, weighs them as the small figures say. Both look at the same findings. The shop’s choice is made under Shop, Schools.`;
