import { many, num, one, piece, txt } from './author'
import type { Piece } from './author'

const S1 = 'TH.8.W.1',
  S2 = 'TH.8.W.2',
  S3 = 'TH.8.W.3',
  S4 = 'TH.8.W.4',
  S5 = 'TH.8.W.5'

/** Pieces of unit W1, vibrations. */
export const WAVES_1: readonly Piece[] = [
  piece(
    'W1.1',
    'reading',
    'vib101',
    'Back and forth',
    10,
    8,
    `
Press the end of a ruler on a table, bend the free end down and let go. It moves up, passes the place where it had been at rest, goes on, turns, and comes back. A motion that repeats about a resting place is a **vibration**.

Three things are needed. There is a **resting place**, to which the object would return in the end. There is something that **pulls it back** whenever it is away from there: the stiffness of the ruler, the pull of a spring, or the weight of a swing. And there is **inertia**: the object does not stop when it reaches the resting place, because nothing stops it there, so it moves past.

One whole vibration is over when the object is again at the same place *and moving the same way*. A swing that starts at its highest point on the left has made one vibration when it is back at the left, not when it has arrived at the right.

Not every repeated motion is a vibration. The hand of a clock repeats its motion, but there is no resting place about which it moves.

**Try it.** Hold the ruler so that less of it is free, and let it vibrate again. What changes?`,
  ),
  piece(
    'W1.1',
    'check',
    'vib102',
    'Check: what a vibration is',
    10,
    8,
    'Eight questions about vibrations. Read each to the end before you answer.',
    [
      one(
        'Which of these is a vibration?',
        [
          'A loaded spring moving up and down',
          'A stone falling down a well',
          'A wheel rolling along a road',
          'A train leaving a station',
        ],
        { s: S1, d: 1, fb: 'The load moves to and fro about the place where it would hang at rest.' },
      ),
      one(
        'A swing starts at its highest point on the left. When has it made exactly one whole vibration?',
        [
          'When it is back at its highest point on the left',
          'When it reaches its highest point on the right',
          'When it first passes the lowest point',
          'When it passes the lowest point for the second time',
        ],
        { s: S1, d: 2, fb: 'One whole vibration brings it back to the same place, moving the same way.' },
      ),
      many(
        'What does every vibration need?',
        ['A resting place', 'Something that pulls the object back', 'Inertia that carries it past'],
        ['A motor that drives it', 'A hard surface below it'],
        {
          s: S1,
          d: 3,
          fb: 'Stiffness or weight pulls it back, inertia carries it past the resting place. No motor is needed.',
        },
      ),
      one(
        'A ruler sticks out over the edge of a table and vibrates. At which point does it move fastest?',
        [
          'When it passes its resting place',
          'At its highest point',
          'At its lowest point',
          'It is equally fast everywhere',
        ],
        { s: S1, d: 3, fb: 'It stops for an instant at both turning points and is fastest in between.' },
      ),
      one(
        'Why does the hand of a clock not vibrate, although its motion repeats?',
        [
          'It does not move to and fro about a resting place',
          'It moves too slowly',
          'It is driven by a battery',
          'It makes no sound',
        ],
        {
          s: S1,
          d: 2,
          fb: 'A vibration is to and fro about a resting place. The hand goes round and round.',
        },
      ),
      num(
        'A child on a swing passes the lowest point 12 times, in both directions together. How many whole vibrations is that?',
        6,
        0,
        '',
        { s: S1, d: 3, fb: 'In every whole vibration the lowest point is passed twice, so 12 ÷ 2 = 6.' },
      ),
      txt(
        'What is the place called to which a vibrating object returns in the end? (two words)',
        ['resting place', 'rest position', 'resting position', 'the resting place', 'equilibrium position'],
        { s: S1, d: 1, fb: 'It is called the resting place.' },
      ),
      one(
        'You shorten the free part of a vibrating ruler. What do you notice?',
        ['It vibrates faster', 'It vibrates more slowly', 'It vibrates as before', 'It stops vibrating'],
        { s: S1, d: 2, fb: 'The shorter part is stiffer and lighter, so it moves to and fro faster.' },
      ),
    ],
  ),
  piece(
    'W1.2',
    'reading',
    'vib201',
    'Three numbers for a vibration',
    12,
    8,
    `
To tell one vibration from another we measure three things.

The **amplitude** is the greatest distance from the resting place. It is measured from the middle to one side, not from side to side. A swing that moves 80 cm from its left end to its right end has an amplitude of 40 cm.

The **period** is the time for one whole vibration. Short times are hard to measure by hand, so time ten vibrations and divide by ten. If ten vibrations take 14 s, the period is 1.4 s.

The **frequency** is the number of vibrations in one second. Its unit is the **hertz** (Hz): 5 Hz means five vibrations in a second.

Period and frequency are two ways of saying the same thing:

frequency = 1 ÷ period  and  period = 1 ÷ frequency

A period of 0.25 s means four vibrations in each second, 4 Hz. A long period goes with a low frequency.

Amplitude is independent of both, at least for small amplitudes: pushing a swing a little farther hardly changes its period.`,
  ),
  piece(
    'W1.2',
    'worked-example',
    'vib202',
    'From a stopwatch to a frequency',
    8,
    8,
    `
**Question.** A weight on a spring moves up and down. Its lowest point is 12 cm below its highest point. Twenty whole vibrations take 16 s. Find amplitude, period and frequency.

1. **Amplitude.** From highest to lowest is twice the amplitude: 12 cm ÷ 2 = **6 cm**.
2. **Period.** 16 s ÷ 20 = **0.8 s**.
3. **Frequency.** 1 ÷ 0.8 s = **1.25 Hz**.

**Does it make sense?** The period is a little under a second, so there should be a little more than one vibration in a second. 1.25 is.`,
    [],
    'example',
  ),
  piece(
    'W1.2',
    'practice-set',
    'vib203',
    'Practice: periods and frequencies',
    15,
    8,
    'Take a sheet of paper for the numbers.',
    [
      num('Ten vibrations take 5 s. What is the period?', 0.5, 0.01, 's', {
        s: S2,
        d: 1,
        fb: '5 s ÷ 10 = 0.5 s.',
      }),
      num('The period is 0.2 s. What is the frequency?', 5, 0.05, 'Hz', { s: S2, d: 2, fb: '1 ÷ 0.2 = 5.' }),
      num('The frequency is 50 Hz. What is the period?', 0.02, 0.0005, 's', {
        s: S2,
        d: 3,
        fb: '1 ÷ 50 = 0.02.',
      }),
      num('A weight moves 18 cm from its highest to its lowest point. What is its amplitude?', 9, 0.1, 'cm', {
        s: S2,
        d: 2,
        fb: 'Half of the whole way: 9 cm.',
      }),
      num('A hummingbird beats its wings 300 times in 6 s. What is the frequency?', 50, 0.5, 'Hz', {
        s: S2,
        d: 2,
        fb: '300 ÷ 6 = 50.',
      }),
      one(
        'Two swings have periods of 2 s and 3 s. Which has the higher frequency?',
        ['The one with 2 s', 'The one with 3 s', 'Both have the same', 'It depends on how far they swing'],
        { s: S2, d: 2, fb: 'A shorter period means more vibrations in a second.' },
      ),
      num('How many whole vibrations does a 1.5 Hz vibration make in one minute?', 90, 0, '', {
        s: S2,
        d: 3,
        fb: '1.5 in each second, 60 seconds: 90.',
      }),
      txt('In which unit is frequency measured?', ['hertz', 'Hz'], {
        s: S2,
        d: 1,
        fb: 'One hertz is one vibration in a second.',
      }),
    ],
    'practice',
  ),
  piece(
    'W1.2',
    'check',
    'vib204',
    'Check: amplitude, period, frequency',
    15,
    8,
    'Eight questions. Give numbers with their unit if you like; it is not needed.',
    [
      one(
        'What is the amplitude of a vibration?',
        [
          'The greatest distance from the resting place',
          'The distance from one turning point to the other',
          'The time for one vibration',
          'The number of vibrations in a second',
        ],
        { s: S2, d: 1, fb: 'It is measured from the middle to one side.' },
      ),
      num(
        'A swing moves 1.2 m from its left end to its right end. What is its amplitude, in metres?',
        0.6,
        0.01,
        'm',
        { s: S2, d: 2, fb: 'Half of 1.2 m.' },
      ),
      num('Twenty vibrations take 30 s. What is the period, in seconds?', 1.5, 0.02, 's', {
        s: S2,
        d: 2,
        fb: '30 s ÷ 20 = 1.5 s.',
      }),
      num('A string vibrates with a period of 0.004 s. What is its frequency, in hertz?', 250, 2, 'Hz', {
        s: S2,
        d: 4,
        fb: '1 ÷ 0.004 = 250.',
      }),
      num('A tuning fork vibrates at 440 Hz. How many vibrations does it make in 5 s?', 2200, 0, '', {
        s: S2,
        d: 2,
        fb: '440 in each second, five seconds: 2,200.',
      }),
      one(
        'The period of a vibration becomes twice as long. What happens to its frequency?',
        [
          'It becomes half as great',
          'It becomes twice as great',
          'It stays the same',
          'It becomes a quarter',
        ],
        { s: S2, d: 3, fb: 'Frequency is 1 ÷ period, so doubling one halves the other.' },
      ),
      one(
        'Why do we time ten vibrations instead of one?',
        [
          'A slip of the hand matters ten times less',
          'The vibration becomes slower',
          'One vibration has no period',
          'The amplitude can be read at the same time',
        ],
        { s: S2, d: 3, fb: 'The error of starting and stopping the watch is shared among ten periods.' },
      ),
      many(
        'Which statements are true for a swing with small amplitude?',
        [
          'Pushing it a little farther hardly changes its period',
          'Its period is the time for one whole vibration',
        ],
        ['A greater amplitude makes its frequency much higher', 'Its frequency is measured in seconds'],
        {
          s: S2,
          d: 3,
          fb: 'Amplitude and period are independent for small swings; frequency is measured in hertz.',
        },
      ),
    ],
  ),
  piece(
    'W1.3',
    'reading',
    'vib301',
    'What decides the beat of a pendulum',
    10,
    8,
    `
A **pendulum** is a weight on a string that swings from a fixed point. What does its period depend on? There are three candidates: the **mass** of the weight, the **amplitude**, and the **length** of the string, measured from the fixed point to the middle of the weight.

A **fair test** changes one of them and keeps the others. Change the mass from 50 g to 200 g: the period stays the same. Change the amplitude from 5 cm to 10 cm: no difference that a stopwatch could show. Change the length from 25 cm to 100 cm: the period doubles, from 1.0 s to 2.0 s.

So the length decides. And not in simple proportion: **four times the length gives twice the period**, nine times the length gives three times the period.

Why does the mass not matter? A heavier weight is pulled more strongly, but it is also harder to set in motion. The two effects cancel exactly.`,
  ),
  piece(
    'W1.3',
    'check',
    'vib302',
    'Check: the pendulum',
    12,
    8,
    'A pendulum of 25 cm has a period of 1.0 s. You may use this in any question.',
    [
      one(
        'Which change makes the period of a pendulum longer?',
        ['A longer string', 'A heavier weight', 'A smaller amplitude', 'A lighter weight'],
        { s: S3, d: 1, fb: 'Only the length matters.' },
      ),
      num(
        'A pendulum of 25 cm has a period of 1.0 s. What is the period of a pendulum of 100 cm, in seconds?',
        2,
        0.05,
        's',
        { s: S3, d: 3, fb: 'Four times the length, twice the period.' },
      ),
      num('What is the period of a pendulum of 225 cm, in seconds?', 3, 0.05, 's', {
        s: S3,
        d: 4,
        fb: 'Nine times 25 cm, so three times 1.0 s.',
      }),
      one(
        'Noor wants to know whether the mass matters. What must she keep the same?',
        ['Length and amplitude', 'Only the length', 'The mass', 'Nothing'],
        { s: S3, d: 2, fb: 'In a fair test only the thing under test changes.' },
      ),
      one(
        'Where does the length of a pendulum end?',
        [
          'At the middle of the weight',
          'At the top of the weight',
          'At the bottom of the weight',
          'At the knot in the string',
        ],
        { s: S3, d: 2, fb: 'It is measured to the middle of the weight.' },
      ),
      one(
        'Why does a heavier weight not swing faster?',
        [
          'It is pulled more strongly but is also harder to move',
          'The string holds it back',
          'Air slows it down more',
          'It does swing faster, but too little to see',
        ],
        { s: S3, d: 4, fb: 'Both effects grow with the mass and cancel.' },
      ),
      many(
        'Which of these could be measured to find the period?',
        ['The time for ten vibrations', 'The time for one vibration'],
        ['The mass of the weight', 'The height of the table'],
        { s: S3, d: 2, fb: 'The period is a time: of one vibration, or a tenth of ten.' },
      ),
      num('A pendulum makes 20 vibrations in 40 s. What is its frequency, in hertz?', 0.5, 0.01, 'Hz', {
        s: S2,
        d: 3,
        fb: '20 ÷ 40 = 0.5 vibrations in a second.',
      }),
    ],
  ),
  piece(
    'W1.4',
    'reading',
    'vib401',
    'Where the energy goes',
    10,
    8,
    `
Lift a pendulum to one side and you have stored energy in it: **gravitational energy**, because it is higher than before. Let go, and on the way down that energy becomes **energy of motion**. At the lowest point all of it is motion. Then it climbs the other side and slows down, and the energy is stored again.

A weight on a spring does the same with **elastic energy**, which is stored in a stretched or squeezed spring.

The amplitude tells how much energy a vibration has. Twice the amplitude means **four times** the energy.

No real vibration goes on for ever. Air is pushed aside, the string bends, and a little energy leaves at each swing as **thermal energy**, and as sound. It is not lost: air, string and stand are very slightly warmer than before.`,
  ),
  piece(
    'W1.4',
    'check',
    'vib402',
    'Check: energy in a vibration',
    10,
    8,
    'Eight questions about energy in vibrations.',
    [
      one(
        'Where does a pendulum have the most energy of motion?',
        [
          'At its lowest point',
          'At its highest point on the left',
          'At its highest point on the right',
          'Halfway up',
        ],
        { s: S4, d: 1, fb: 'There it is fastest.' },
      ),
      one(
        'Where does a pendulum have the most gravitational energy?',
        [
          'At both of its highest points',
          'At its lowest point',
          'Only at the point where it was let go',
          'Halfway down',
        ],
        { s: S4, d: 2, fb: 'The higher, the more gravitational energy.' },
      ),
      txt(
        'What is the energy in a stretched spring called? (one word before “energy”)',
        ['elastic', 'elastic energy', 'elastic potential', 'elastic potential energy'],
        { s: S4, d: 2, fb: 'Elastic energy.' },
      ),
      num(
        'The amplitude of a vibration becomes twice as great. How many times as much energy does it have?',
        4,
        0,
        '',
        { s: S4, d: 3, fb: 'Twice the amplitude, four times the energy.' },
      ),
      num(
        'The amplitude becomes three times as great. How many times as much energy does the vibration have?',
        9,
        0,
        '',
        { s: S4, d: 4, fb: '3 × 3 = 9.' },
      ),
      one(
        'A swing slows down and stops. Where has its energy gone?',
        [
          'Into slightly warmer air, chains and frame',
          'It has been used up',
          'Into the ground as weight',
          'Back to the person who pushed',
        ],
        { s: S4, d: 3, fb: 'Energy is never used up; here it became thermal energy.' },
      ),
      many(
        'Which forms of energy appear while a weight bounces on a spring?',
        ['Energy of motion', 'Elastic energy', 'Gravitational energy'],
        ['Chemical energy', 'Nuclear energy'],
        { s: S4, d: 3, fb: 'It moves, the spring is stretched, and its height changes.' },
      ),
      one(
        'Which pendulum of the same kind has the most energy?',
        [
          'The one with the greatest amplitude',
          'The one with the longest period',
          'The one that has swung longest',
          'All have the same',
        ],
        { s: S4, d: 2, fb: 'For the same pendulum, amplitude tells the energy.' },
      ),
    ],
  ),
  piece(
    'W1.5',
    'reading',
    'vib501',
    'Dying away and building up',
    12,
    8,
    `
When energy leaves a vibration, its amplitude shrinks. This is **damping**. A swing in air is lightly damped and goes on for minutes; a spoon moved in honey is so strongly damped that it does not vibrate at all. Damping can be a nuisance, as in a clock, or wanted, as in the shock absorbers of a car.

You can also feed a vibration. Push a swing once in each period, always as it starts to move away from you, and small pushes add up to a great amplitude. Push at any other rhythm and half of your pushes work against the motion.

Everything that can vibrate has a **natural frequency**, with which it vibrates when left alone. If it is pushed with that very frequency, the amplitude builds up. This is **resonance**. It makes the body of a guitar loud, it shakes loose parts of a bus at one particular speed of the engine, and engineers add damping to tall buildings and footbridges so that wind and steps cannot build up a dangerous sway.`,
  ),
  piece(
    'W1.5',
    'check',
    'vib502',
    'Check: damping and resonance',
    12,
    8,
    'Eight questions about damping and resonance.',
    [
      one(
        'What happens in a damped vibration?',
        [
          'Its amplitude becomes smaller and smaller',
          'Its amplitude grows',
          'It becomes louder',
          'It starts again by itself',
        ],
        { s: S5, d: 1, fb: 'Energy leaves, so the amplitude shrinks.' },
      ),
      one(
        'When does resonance happen?',
        [
          'When something is pushed with its natural frequency',
          'When something is pushed very hard',
          'When there is no damping at all',
          'When two objects touch',
        ],
        { s: S5, d: 2, fb: 'The rhythm of the pushes counts, not their strength.' },
      ),
      txt(
        'What is the frequency called with which an object vibrates when left alone? (two words)',
        ['natural frequency', 'the natural frequency', 'resonant frequency'],
        { s: S5, d: 2, fb: 'Its natural frequency.' },
      ),
      many(
        'Where is damping wanted?',
        ['In the shock absorbers of a car', 'In a tall building in the wind'],
        ['In the pendulum of a clock', 'In a ringing bell'],
        { s: S5, d: 3, fb: 'Clock and bell should go on vibrating.' },
      ),
      num(
        'A swing has a period of 2.5 s. With what frequency should it be pushed to build up a great amplitude, in hertz?',
        0.4,
        0.01,
        'Hz',
        { s: S5, d: 4, fb: '1 ÷ 2.5 = 0.4.' },
      ),
      one(
        'A window pane of a bus rattles at one speed of the engine only. Why?',
        [
          'Only then the engine shakes it with its natural frequency',
          'Only then the bus is damped',
          'At other speeds the engine does not shake',
          'The pane is loose only then',
        ],
        { s: S5, d: 3, fb: 'That is resonance.' },
      ),
      one(
        'Which vibration is the most strongly damped?',
        ['A spoon moved in honey', 'A swing in air', 'A tuning fork', 'A guitar string'],
        { s: S5, d: 1, fb: 'Honey takes up the energy at once.' },
      ),
      one(
        'Why do soldiers not march in step over a light bridge?',
        [
          'Their steps could have the natural frequency of the bridge',
          'Their weight is greater when they march in step',
          'The noise could crack the bridge',
          'They would be too slow',
        ],
        { s: S5, d: 3, fb: 'Steps in the rhythm of the bridge could build up its sway.' },
      ),
    ],
  ),
]
