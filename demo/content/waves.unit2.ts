import { many, num, one, piece, txt } from './author'
import type { Piece } from './author'

const S6 = 'TH.8.W.6',
  S7 = 'TH.8.W.7',
  S8 = 'TH.8.W.8'

/** Pieces of unit W2, mechanical waves, as far as written. */
export const WAVES_2: readonly Piece[] = [
  piece(
    'W2.1',
    'reading',
    'wav101',
    'A push that travels',
    10,
    8,
    `
Lay a rope on the floor, hold one end and flick it once to the side. A hump runs along the rope to the other end: a **pulse**. Yet no piece of rope has travelled. Tie a ribbon to the middle and you see it: the ribbon moves aside and comes back to where it was.

What travels is the **motion**, and with it **energy**. Each piece of rope pulls the next one aside a moment later. A pulse that arrives at the far end can knock over a cup that stands there.

Move your hand to and fro without stopping and pulse follows pulse: a **wave**. Each point of the rope vibrates about its resting place with the frequency of your hand. It only does so a little later than its neighbour.

The stuff through which a wave runs is its **medium**: rope, water, air, rock. Waves that need a medium are called **mechanical waves**.`,
  ),
  piece(
    'W2.1',
    'check',
    'wav102',
    'Check: from a pulse to a wave',
    10,
    8,
    'Eight questions about pulses and waves.',
    [
      one(
        'A pulse runs along a rope from left to right. How does a ribbon tied to the rope move?',
        ['To one side and back', 'To the right end', 'To the left end', 'It does not move'],
        { s: S6, d: 2, fb: 'The motion travels, the rope does not.' },
      ),
      one(
        'What does a wave carry from place to place?',
        ['Energy', 'The medium', 'Both energy and the medium', 'Neither'],
        { s: S6, d: 1, fb: 'Energy travels; the medium stays.' },
      ),
      txt('What is the stuff called through which a wave runs?', ['medium', 'the medium', 'a medium'], {
        s: S6,
        d: 1,
        fb: 'The medium.',
      }),
      many(
        'Which of these are mechanical waves?',
        ['A wave on a rope', 'Sound in air', 'An earthquake wave in rock'],
        ['Light from a star', 'A radio wave'],
        { s: S6, d: 3, fb: 'Mechanical waves need a medium. Light and radio waves cross empty space.' },
      ),
      one(
        'Your hand shakes a rope three times in a second. With what frequency does the middle of the rope vibrate?',
        ['3 Hz', 'Less than 3 Hz', 'More than 3 Hz', 'It depends on the length of the rope'],
        { s: S6, d: 3, fb: 'Every point follows the source with the same frequency, only later.' },
      ),
      one(
        'A duck sits on a pond when waves pass. What does it mainly do?',
        [
          'It bobs up and down in place',
          'It is carried along with the waves',
          'It is pushed toward the source',
          'It sinks',
        ],
        { s: S6, d: 2, fb: 'The water moves about its resting place, and the duck with it.' },
      ),
      num(
        'A pulse takes 0.5 s to run along a rope of 4 m. What is its speed, in metres per second?',
        8,
        0.1,
        'm/s',
        { s: S7, d: 3, fb: '4 m ÷ 0.5 s = 8 m/s.' },
      ),
      one(
        'What is the difference between a pulse and a wave?',
        [
          'A pulse is a single disturbance, a wave is one after another',
          'A pulse is faster',
          'A wave carries matter, a pulse does not',
          'A pulse needs no medium',
        ],
        { s: S6, d: 2, fb: 'A wave is kept up by a source that goes on vibrating.' },
      ),
    ],
  ),
  piece(
    'W2.2',
    'reading',
    'wav201',
    'How long, how fast',
    12,
    8,
    `
Take a photograph of a wave on a rope. You see crest after crest. The distance from one crest to the next is the **wavelength**. It is just as good to measure from trough to trough.

Now watch the wave move. In the time of one period the source makes one whole vibration, and the wave moves on by exactly one wavelength. Speed is distance over time, so

wave speed = wavelength ÷ period

and because frequency is 1 ÷ period,

**wave speed = frequency × wavelength**

A wave of 2 Hz and 1.5 m runs at 2 Hz × 1.5 m = 3 m/s.

The medium decides the speed, the source decides the frequency, and the wavelength follows from the two. Shake a rope twice as fast: the wave does not run faster, but its wavelength is halved.`,
  ),
  piece(
    'W2.2',
    'worked-example',
    'wav202',
    'Ripples in a tray',
    8,
    8,
    `
**Question.** A wooden bar dips into a water tray 8 times in a second. The crests are 3 cm apart. How fast do the ripples run? What changes if the bar dips 12 times in a second?

1. Frequency 8 Hz, wavelength 3 cm = 0.03 m.
2. Speed = 8 Hz × 0.03 m = **0.24 m/s**.
3. Same water, same depth: the speed stays 0.24 m/s.
4. New wavelength = speed ÷ frequency = 0.24 m/s ÷ 12 Hz = 0.02 m = **2 cm**.

**Does it make sense?** More dips in a second, so the crests lie closer together. They do.`,
    [],
    'example',
  ),
  piece(
    'W2.2',
    'practice-set',
    'wav203',
    'Practice: wave speed',
    15,
    8,
    'Write down what is given, then the relation, then the number.',
    [
      num('Frequency 4 Hz, wavelength 2 m. Speed in m/s?', 8, 0.1, 'm/s', { s: S7, d: 1, fb: '4 × 2 = 8.' }),
      num('Speed 12 m/s, frequency 3 Hz. Wavelength in m?', 4, 0.05, 'm', { s: S7, d: 2, fb: '12 ÷ 3 = 4.' }),
      num('Speed 340 m/s, wavelength 0.5 m. Frequency in Hz?', 680, 5, 'Hz', {
        s: S7,
        d: 3,
        fb: '340 ÷ 0.5 = 680.',
      }),
      num('Wavelength 6 m, period 2 s. Speed in m/s?', 3, 0.05, 'm/s', {
        s: S7,
        d: 3,
        fb: 'One wavelength in each period: 6 ÷ 2 = 3.',
      }),
      num('A wave runs 45 m in 15 s. Speed in m/s?', 3, 0.05, 'm/s', { s: S7, d: 1, fb: '45 ÷ 15 = 3.' }),
      num('Crests are 25 cm apart and pass at 2 a second. Speed in m/s?', 0.5, 0.01, 'm/s', {
        s: S7,
        d: 3,
        fb: '2 × 0.25 = 0.5.',
      }),
      one(
        'The same rope is shaken three times as fast. What happens to the wavelength?',
        ['It becomes a third', 'It becomes three times as long', 'It stays the same', 'It becomes a ninth'],
        { s: S7, d: 3, fb: 'The speed is the same, so wavelength is speed ÷ frequency.' },
      ),
      txt(
        'What do we call the distance from crest to crest?',
        ['wavelength', 'the wavelength', 'wave length'],
        { s: S7, d: 1, fb: 'The wavelength.' },
      ),
    ],
    'practice',
  ),
  piece(
    'W2.2',
    'check',
    'wav204',
    'Check: wavelength and wave speed',
    15,
    8,
    'Speed = frequency × wavelength. Take care with units.',
    [
      one(
        'What is the wavelength?',
        [
          'The distance from one crest to the next',
          'The height of a crest',
          'The time between two crests',
          'The distance the wave runs in a second',
        ],
        { s: S7, d: 1, fb: 'From crest to crest, or from trough to trough.' },
      ),
      num(
        'A wave has a frequency of 5 Hz and a wavelength of 0.6 m. What is its speed, in m/s?',
        3,
        0.05,
        'm/s',
        { s: S7, d: 2, fb: '5 × 0.6 = 3.' },
      ),
      num(
        'A wave runs at 20 m/s with a frequency of 4 Hz. What is its wavelength, in metres?',
        5,
        0.05,
        'm',
        { s: S7, d: 2, fb: '20 ÷ 4 = 5.' },
      ),
      num(
        'Water waves with a wavelength of 8 m run at 4 m/s. What is their frequency, in hertz?',
        0.5,
        0.01,
        'Hz',
        { s: S7, d: 3, fb: '4 ÷ 8 = 0.5.' },
      ),
      one(
        'Who or what decides the frequency of a wave?',
        ['The source', 'The medium', 'The wavelength', 'The amplitude'],
        { s: S7, d: 2, fb: 'Each point follows the source.' },
      ),
      one(
        'You shake the same rope twice as fast. What happens?',
        [
          'The wavelength becomes half as long',
          'The wave runs twice as fast',
          'The wavelength becomes twice as long',
          'The wave runs half as fast',
        ],
        { s: S7, d: 3, fb: 'The rope sets the speed, so more waves share the same distance.' },
      ),
      num(
        'Ripples lie 2 cm apart and 15 of them pass a leaf each second. What is their speed, in m/s?',
        0.3,
        0.01,
        'm/s',
        { s: S7, d: 4, fb: '15 × 0.02 m = 0.3 m/s.' },
      ),
      many(
        'Which pairs belong together?',
        ['Source: frequency', 'Medium: speed'],
        ['Source: speed', 'Medium: frequency'],
        { s: S7, d: 3, fb: 'The source sets the frequency, the medium sets the speed.' },
      ),
    ],
  ),
  piece(
    'W2.3',
    'reading',
    'wav301',
    'Across or along',
    10,
    8,
    `
There are two ways in which the parts of a medium can move while a wave passes.

In a **transverse wave** they move **across** the direction in which the wave runs. A rope wave runs along the rope while each piece of rope moves sideways. It has crests and troughs.

In a **longitudinal wave** they move **along** the direction in which the wave runs, to and fro. Push and pull the end of a long soft spring: places where the coils are crowded run along the spring, and between them places where the coils are spread. These are called **compressions** and **rarefactions**. The wavelength is the distance from one compression to the next.

Sound in air is a longitudinal wave. Earthquakes send out both kinds; the longitudinal ones run faster and arrive first. Liquids and gases can be squeezed but offer no resistance to a sideways shift, so only longitudinal waves run through their inside.`,
  ),
  piece(
    'W2.3',
    'check',
    'wav302',
    'Check: transverse and longitudinal',
    10,
    8,
    'Eight questions about the two kinds of waves.',
    [
      one(
        'In a transverse wave, how do the parts of the medium move?',
        [
          'Across the direction in which the wave runs',
          'Along the direction in which the wave runs',
          'In circles only',
          'They travel with the wave',
        ],
        { s: S8, d: 1, fb: 'Transverse means across.' },
      ),
      one(
        'Which of these is a longitudinal wave?',
        ['Sound in air', 'A wave on a rope', 'A wave that spectators make in a stadium', 'A shaken ribbon'],
        { s: S8, d: 2, fb: 'Air moves to and fro along the direction of the sound.' },
      ),
      txt(
        'What is a place called where the coils of a spring are crowded?',
        ['compression', 'a compression', 'compressions'],
        { s: S8, d: 2, fb: 'A compression.' },
      ),
      txt(
        'What is a place called where the coils of a spring are spread?',
        ['rarefaction', 'a rarefaction', 'rarefactions'],
        { s: S8, d: 3, fb: 'A rarefaction.' },
      ),
      one(
        'What is the wavelength of a longitudinal wave?',
        [
          'The distance from one compression to the next',
          'The distance from a compression to the next rarefaction',
          'The length of the spring',
          'The width of a compression',
        ],
        { s: S8, d: 3, fb: 'From compression to compression, as from crest to crest.' },
      ),
      one(
        'Which earthquake waves arrive first?',
        [
          'The longitudinal ones',
          'The transverse ones',
          'Both at the same time',
          'It depends on the size of the earthquake',
        ],
        { s: S8, d: 2, fb: 'The longitudinal ones run faster.' },
      ),
      many('Through what can longitudinal waves run?', ['A solid', 'A liquid', 'A gas'], ['Empty space'], {
        s: S8,
        d: 3,
        fb: 'They need a medium, but any medium will do.',
      }),
      num(
        'Compressions run along a spring, 0.4 m apart, 3 of them each second. What is their speed, in m/s?',
        1.2,
        0.02,
        'm/s',
        { s: S7, d: 3, fb: '3 × 0.4 = 1.2.' },
      ),
    ],
  ),
  piece(
    'W2.4',
    'reading',
    'wav401',
    'What happens at the end',
    10,
    8,
    `
Send a pulse along a rope whose far end is tied to a post. It arrives, and comes back: the wave is **reflected**. Look closely: the hump left on one side and returns on the **other** side. At a **fixed end** the pulse is turned over.

Now let the far end slide freely on a smooth pole. Again the pulse comes back, but this time on the **same** side. At a **free end** it is not turned over.

What if a thin rope is knotted to a thick one? At the knot a part of the energy goes on into the thick rope and a part comes back. The pulse that goes on and the pulse that comes back are both smaller than the one that came. Whenever a wave meets a change of medium, some of it is reflected; the greater the change, the more.

Water waves that meet a straight wall leave it at the same angle at which they came. So does sound: a cave throws voices back, and a bat finds its way by listening to how long its cries take to return.`,
  ),
  piece(
    'W2.4',
    'check',
    'wav402',
    'Check: waves that bounce back',
    10,
    8,
    'Eight questions about reflection.',
    [
      one(
        'What does it mean that a wave is reflected?',
        [
          'It comes back from where the medium ends or changes',
          'It becomes faster',
          'It goes through without change',
          'It stops and its energy is gone',
        ],
        { s: S6, d: 1, fb: 'Reflected means thrown back.' },
      ),
      one(
        'A pulse meets the end of a rope that is tied to a post. How does it come back?',
        [
          'On the other side of the rope',
          'On the same side of the rope',
          'Twice as high',
          'It does not come back',
        ],
        { s: S6, d: 2, fb: 'A fixed end turns the pulse over.' },
      ),
      one(
        'A pulse meets an end that can slide freely. How does it come back?',
        [
          'On the same side of the rope',
          'On the other side of the rope',
          'Twice as fast',
          'It does not come back',
        ],
        { s: S6, d: 2, fb: 'A free end does not turn it over.' },
      ),
      one(
        'A pulse runs from a thin rope into a thick one. What happens at the knot?',
        [
          'A part goes on and a part comes back',
          'All of it goes on',
          'All of it comes back',
          'It is swallowed by the knot',
        ],
        { s: S6, d: 3, fb: 'At a change of medium the energy is shared.' },
      ),
      num(
        'Water waves meet a wall at an angle of 35° to the wall. At what angle to the wall do they leave, in degrees?',
        35,
        0.5,
        '°',
        { s: S6, d: 2, fb: 'They leave at the angle at which they came.' },
      ),
      num(
        'A pulse runs at 6 m/s along a rope of 9 m, is reflected and comes back. How long is it on its way, in seconds?',
        3,
        0.05,
        's',
        { s: S7, d: 4, fb: 'There and back are 18 m; 18 ÷ 6 = 3.' },
      ),
      many(
        'Where is a large part of a wave reflected?',
        ['Where a rope is tied to a wall', 'Where sound meets a cliff'],
        ['In the middle of a long even rope', 'Inside deep, still water'],
        { s: S6, d: 3, fb: 'Only where the medium ends or changes.' },
      ),
      txt('What animal of the night finds its way by reflected sound?', ['bat', 'a bat', 'the bat', 'bats'], {
        s: S6,
        d: 1,
        fb: 'A bat listens to the echo of its cries.',
      }),
    ],
  ),
]
