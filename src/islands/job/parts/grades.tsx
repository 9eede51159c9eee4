import { SprocketGrade } from '../../../ui/drawings/SprocketGrade';

/** What each grade of wear looks like. */
export const GRADES = {
  none: <SprocketGrade grade="none" />,
  light: <SprocketGrade grade="light" />,
  deep: <SprocketGrade grade="deep" />,
};
