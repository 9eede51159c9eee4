import { goesWith, group, length, evidence } from '../reading';

/** What was measured of the loop's way round drive sprocket and nose, with the bar on the saw. */
export const loopReadings = group(
  {
    tape: evidence(
      length(
        { kind: 'loop', instrument: 'tape' },
        {
          means: 'Tape laid in the groove, round the nose and the drive sprocket.',
          minutes: 2,
          idle: goesWith('bar.pitch'),
        },
      ),
    ),
    centreBack: evidence(
      length(
        { kind: 'centres', instrument: 'tape' },
        {
          means: 'Centre of drive sprocket to centre of nose, tensioner fully back.',
          idle: goesWith('loop.centreOut', 'driveSprocket.teeth'),
        },
      ),
    ),
    centreOut: length(
      { kind: 'centres', instrument: 'tape' },
      { means: 'The same, tensioner fully out.', idle: goesWith('loop.centreBack', 'driveSprocket.teeth') },
    ),
    noseRadius: length(
      { kind: 'noseRadius', instrument: 'rule' },
      {
        means: 'Hard nose: its radius to the rivet line.',
        minutes: 1,
        idle: goesWith('loop.centreBack', 'loop.centreOut'),
      },
    ),
  },
  { step: 'identify', view: 'loop', minutes: 3 },
);
