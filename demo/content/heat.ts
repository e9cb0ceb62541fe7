import { many, num, one, piece, txt } from './author'
import type { Piece } from './author'

const S1 = 'TH.7.M.1',
  S2 = 'TH.7.M.2',
  S3 = 'TH.7.M.3',
  S4 = 'TH.7.M.4',
  S5 = 'TH.7.M.5',
  S6 = 'TH.7.M.6',
  S7 = 'TH.7.M.7'

/** Pieces of units M1 and M2, as far as written. */
export const HEAT_PIECES: readonly Piece[] = [
  piece(
    'M1.1',
    'reading',
    'mat101',
    'How much, how big',
    10,
    7,
    `
**Mass** tells how much material there is. A balance measures it in grams or kilograms. Take a stone to the top of a mountain, break it in two, put the pieces on the balance together: the mass is the same.

**Volume** tells how much room something takes up. For a box, multiply length, width and height: 4 cm × 3 cm × 2 cm = 24 cubic centimetres (cm³). For a liquid, pour it into a measuring cylinder and read the scale at the bottom of the curved surface, with your eye at the same height. One millilitre is exactly one cubic centimetre.

How do you measure a stone that fits no formula? Fill a cylinder with 50 mL of water and lower the stone into it. If the water rises to 68 mL, the stone has pushed 18 mL aside: its volume is 18 cm³. This is called **displacement**.`,
  ),
  piece(
    'M1.1',
    'check',
    'mat102',
    'Check: mass and volume',
    10,
    7,
    'Eight questions about mass and volume.',
    [
      one('What does a balance measure?', ['Mass', 'Volume', 'Density', 'Temperature'], {
        s: S1,
        d: 1,
        fb: 'A balance compares masses.',
      }),
      num('A box is 5 cm long, 4 cm wide and 3 cm high. What is its volume, in cm³?', 60, 0.5, 'cm³', {
        s: S1,
        d: 2,
        fb: '5 × 4 × 3 = 60.',
      }),
      num('How many cubic centimetres are 250 mL?', 250, 0, 'cm³', { s: S1, d: 2, fb: '1 mL is 1 cm³.' }),
      num(
        'Water stands at 40 mL. With a stone in it, it stands at 63 mL. What is the volume of the stone, in cm³?',
        23,
        0.2,
        'cm³',
        { s: S1, d: 2, fb: '63 − 40 = 23.' },
      ),
      one(
        'A lump of clay is rolled into a long snake. What happens to its mass?',
        ['It stays the same', 'It becomes smaller', 'It becomes greater', 'It depends on the length'],
        { s: S1, d: 2, fb: 'No clay was added or taken away.' },
      ),
      one(
        'Where do you read the water level in a measuring cylinder?',
        [
          'At the bottom of the curved surface, eye at the same height',
          'At the top of the curved surface',
          'At the edge, looking down from above',
          'Anywhere on the curve',
        ],
        { s: S1, d: 2, fb: 'The bottom of the curve, with the eye level with it.' },
      ),
      txt(
        'What is the method called that finds a volume from rising water?',
        ['displacement', 'water displacement', 'displacement method'],
        { s: S1, d: 2, fb: 'Displacement.' },
      ),
      many(
        'For which of these would you use displacement?',
        ['A key', 'A pebble'],
        ['A sugar cube', 'A brick-shaped block of wood measured with a ruler'],
        { s: S1, d: 3, fb: 'Sugar dissolves, and a block can be measured with a ruler.' },
      ),
    ],
  ),
  piece(
    'M1.2',
    'reading',
    'mat201',
    'Heavy for its size',
    12,
    7,
    `
“Iron is heavier than wood” is not quite right: a tree is heavier than a nail. What we mean is that iron is heavier **for its size**. To compare fairly, take the same volume of both.

The **density** of a material is the mass of one cubic centimetre of it:

density = mass ÷ volume

A piece of aluminium has a mass of 54 g and a volume of 20 cm³. Its density is 54 g ÷ 20 cm³ = 2.7 g/cm³. Half the piece has half the mass and half the volume: the density is the same. It belongs to the material, not to the piece, so it helps us to tell materials apart.

Water has a density of 1.0 g/cm³. Solid things with a smaller density float on it, those with a greater density sink. Ice, with 0.92 g/cm³, floats.`,
  ),
  piece(
    'M1.2',
    'worked-example',
    'mat202',
    'Is it gold?',
    8,
    7,
    `
**Question.** A yellow figure has a mass of 170 g. In a cylinder it raises the water from 60 mL to 80 mL. Gold has a density of 19.3 g/cm³, brass 8.5 g/cm³. What is it made of?

1. Volume = 80 mL − 60 mL = 20 mL = 20 cm³.
2. Density = 170 g ÷ 20 cm³ = **8.5 g/cm³**.
3. That is the density of **brass**.

**Does it make sense?** If it were gold, 20 cm³ of it would have a mass of 386 g, more than twice as much.`,
    [],
    'example',
  ),
  piece(
    'M1.2',
    'practice-set',
    'mat203',
    'Practice: density',
    15,
    7,
    'Density = mass ÷ volume.',
    [
      num('Mass 100 g, volume 50 cm³. Density in g/cm³?', 2, 0.02, 'g/cm³', {
        s: S2,
        d: 1,
        fb: '100 ÷ 50 = 2.',
      }),
      num('Mass 27 g, volume 10 cm³. Density in g/cm³?', 2.7, 0.02, 'g/cm³', {
        s: S2,
        d: 2,
        fb: '27 ÷ 10 = 2.7.',
      }),
      num('Density 8 g/cm³, volume 5 cm³. Mass in g?', 40, 0.3, 'g', { s: S2, d: 3, fb: '8 × 5 = 40.' }),
      num('Density 0.5 g/cm³, mass 30 g. Volume in cm³?', 60, 0.5, 'cm³', {
        s: S2,
        d: 4,
        fb: '30 ÷ 0.5 = 60.',
      }),
      one(
        'A cork has a density of 0.24 g/cm³. What does it do in water?',
        ['It floats', 'It sinks', 'It hovers in the middle', 'It dissolves'],
        { s: S2, d: 1, fb: 'Less than 1.0, so it floats.' },
      ),
      one(
        'A chocolate bar is cut in two equal halves. What is the density of one half?',
        ['The same as before', 'Half as great', 'Twice as great', 'It cannot be known'],
        { s: S2, d: 2, fb: 'Mass and volume are both halved.' },
      ),
      num('A cube of 2 cm edge has a mass of 16 g. Density in g/cm³?', 2, 0.02, 'g/cm³', {
        s: S2,
        d: 3,
        fb: 'Volume 2 × 2 × 2 = 8 cm³; 16 ÷ 8 = 2.',
      }),
      txt('What do you call mass divided by volume?', ['density', 'the density'], {
        s: S2,
        d: 1,
        fb: 'Density.',
      }),
    ],
    'practice',
  ),
  piece('M1.2', 'check', 'mat204', 'Check: density', 15, 7, 'Water has a density of 1.0 g/cm³.', [
    one(
      'What is density?',
      [
        'The mass of each cubic centimetre',
        'The mass of the whole object',
        'The room an object takes up',
        'The weight of the water it pushes aside',
      ],
      { s: S2, d: 1, fb: 'Mass divided by volume.' },
    ),
    num(
      'A stone has a mass of 75 g and a volume of 30 cm³. What is its density, in g/cm³?',
      2.5,
      0.02,
      'g/cm³',
      { s: S2, d: 2, fb: '75 ÷ 30 = 2.5.' },
    ),
    num('Olive oil has a density of 0.92 g/cm³. What is the mass of 200 cm³, in grams?', 184, 1, 'g', {
      s: S2,
      d: 3,
      fb: '0.92 × 200 = 184.',
    }),
    num('A silver spoon (10.5 g/cm³) has a mass of 63 g. What is its volume, in cm³?', 6, 0.1, 'cm³', {
      s: S2,
      d: 4,
      fb: '63 ÷ 10.5 = 6.',
    }),
    one(
      'Why does ice float on water?',
      [
        'It has a smaller density than water',
        'It is colder than water',
        'It is a solid',
        'It is lighter than the whole lake',
      ],
      { s: S2, d: 2, fb: '0.92 is less than 1.0 g/cm³.' },
    ),
    one(
      'A bar of soap is cut into four pieces. What is true of one piece?',
      [
        'It has the same density as the bar',
        'It has a quarter of the density',
        'It has four times the density',
        'Its density cannot be found',
      ],
      { s: S2, d: 3, fb: 'Density belongs to the material.' },
    ),
    many(
      'Which of these float on water?',
      ['Pine wood, 0.5 g/cm³', 'Candle wax, 0.9 g/cm³'],
      ['Glass, 2.5 g/cm³', 'Aluminium, 2.7 g/cm³'],
      { s: S2, d: 2, fb: 'Those below 1.0 g/cm³.' },
    ),
    num(
      'A key of 34 g raises the water from 50 mL to 54 mL. What is its density, in g/cm³?',
      8.5,
      0.1,
      'g/cm³',
      { s: S2, d: 4, fb: 'Volume 4 cm³; 34 ÷ 4 = 8.5.' },
    ),
  ]),
  piece(
    'M1.3',
    'reading',
    'mat301',
    'Too small to see',
    12,
    7,
    `
Let a drop of ink fall into still water and wait. Without any stirring the colour spreads until the whole glass is tinted. This **diffusion** is easy to explain if water and ink are made of tiny **particles** that never stop moving.

In a **solid** the particles sit close together, each in a place of its own, and vibrate about it. That is why a solid keeps its shape. In a **liquid** they are about as close together but can change places, so a liquid flows and takes the shape of its container, while its volume stays. In a **gas** they are far apart and fly freely, hitting each other and the walls. A gas fills whatever room it is given and can be squeezed into much less.

Warmer means faster: in hot water the particles move faster, and ink spreads sooner. Between the particles there is nothing at all, not even air.`,
  ),
  piece('M1.3', 'check', 'mat302', 'Check: the particle model', 12, 7, 'Eight questions about particles.', [
    one(
      'How do the particles of a solid move?',
      ['They vibrate about fixed places', 'They do not move', 'They change places freely', 'They fly about'],
      { s: S3, d: 2, fb: 'They never rest, but keep their places.' },
    ),
    one(
      'Why can a gas be squeezed into much less room?',
      [
        'Its particles are far apart',
        'Its particles become smaller',
        'Its particles are soft',
        'Some particles vanish',
      ],
      { s: S3, d: 2, fb: 'There is much empty room between them.' },
    ),
    one('What is between the particles of a gas?', ['Nothing', 'Air', 'Smaller particles', 'Water'], {
      s: S3,
      d: 3,
      fb: 'Air itself is made of particles; between them there is nothing.',
    }),
    txt('What is the spreading of ink in still water called?', ['diffusion'], {
      s: S3,
      d: 2,
      fb: 'Diffusion.',
    }),
    many(
      'What is true of liquids?',
      [
        'They take the shape of their container',
        'Their particles are close together',
        'Their particles can change places',
      ],
      ['They fill any room they are given'],
      { s: S3, d: 3, fb: 'A liquid keeps its volume; only a gas fills any room.' },
    ),
    one(
      'Why does ink spread sooner in hot water?',
      [
        'The particles move faster',
        'The particles become larger',
        'Hot water is thinner',
        'Heat pushes the ink',
      ],
      { s: S3, d: 2, fb: 'Warmer means faster.' },
    ),
    one(
      'What happens to the particles when water freezes?',
      ['They take fixed places', 'They stop moving', 'They become hard', 'They become cold balls of ice'],
      { s: S3, d: 3, fb: 'They still vibrate, but no longer change places.' },
    ),
    one('In which state are the particles farthest apart?', ['Gas', 'Liquid', 'Solid', 'The same in all'], {
      s: S3,
      d: 1,
      fb: 'In a gas.',
    }),
  ]),
  piece(
    'M1.4',
    'reading',
    'mat401',
    'A storm of tiny blows',
    10,
    7,
    `
Blow up a balloon: what keeps it round? Inside, countless particles of air fly about and hit the rubber. Each blow is tiny, but there are so many that together they push steadily outward. The push on each square centimetre is the **pressure** of the gas.

Squeeze the same air into half the room: the particles hit the wall twice as often, and the pressure doubles. Pump more air into a tyre: more particles, more blows, more pressure. Warm the gas in a closed can: the particles move faster, hit harder and more often, and the pressure rises. That is why spray cans must not lie in the sun.

The air around us pushes too, on every side, with about 10 newtons on each square centimetre at sea level. At Tarn Hollow, high in the mountains, there is less air above us, and the pressure is lower: bags of crisps from the valley arrive puffed up.`,
  ),
  piece(
    'M1.4',
    'check',
    'mat402',
    'Check: gases push',
    10,
    7,
    'Eight questions about the pressure of gases.',
    [
      one(
        'What causes the pressure of a gas?',
        [
          'Particles hitting the walls',
          'The weight of the walls',
          'Particles sticking to the walls',
          'Particles growing',
        ],
        { s: S4, d: 1, fb: 'Countless tiny blows.' },
      ),
      one(
        'Air is squeezed into half the room at the same temperature. What happens to its pressure?',
        ['It doubles', 'It is halved', 'It stays the same', 'It becomes four times as great'],
        { s: S4, d: 2, fb: 'The walls are hit twice as often.' },
      ),
      one(
        'Why must a spray can not lie in the sun?',
        [
          'The pressure inside rises',
          'The gas inside becomes solid',
          'The paint fades',
          'The can becomes smaller',
        ],
        { s: S4, d: 2, fb: 'Faster particles hit harder and more often.' },
      ),
      num(
        'Air at a pressure of 10 N/cm² is squeezed into a fifth of its room at the same temperature. What is its pressure, in N/cm²?',
        50,
        0.5,
        'N/cm²',
        { s: S4, d: 4, fb: 'Five times as many blows: 5 × 10 = 50.' },
      ),
      many(
        'What raises the pressure in a tyre?',
        ['Pumping in more air', 'Warming the air in it'],
        ['Letting air out', 'Cooling it in snow'],
        { s: S4, d: 2, fb: 'More particles, or faster ones.' },
      ),
      one(
        'Why does a bag of crisps puff up in the mountains?',
        [
          'The air outside pushes less',
          'The air inside becomes more',
          'The crisps give off gas',
          'The bag shrinks',
        ],
        { s: S4, d: 3, fb: 'Inside the pressure is still that of the valley.' },
      ),
      txt('What is the push on each square centimetre called?', ['pressure', 'the pressure'], {
        s: S4,
        d: 1,
        fb: 'Pressure.',
      }),
      one(
        'A closed bottle of air is cooled. What do its particles do?',
        [
          'They move more slowly',
          'They shrink',
          'They sink to the bottom and lie still',
          'They become fewer',
        ],
        { s: S4, d: 3, fb: 'Cooler means slower; number and size stay the same.' },
      ),
    ],
  ),
  piece(
    'M2.1',
    'reading',
    'pro101',
    'A fair measurement',
    10,
    7,
    `
A **property** is something about a material that can be found out by looking or measuring: its colour, its density, how much it stretches, whether it lets a current pass.

To compare two materials, the measurement must be **fair**: change the material and keep everything else. Whoever hangs a weight on a thick cotton string and on a thin nylon thread has compared two threads, not two materials. Take the same thickness, the same length, the same weight.

A measurement must also be **repeated**. No two results are exactly alike. Take at least three and use their mean: (4.1 + 4.4 + 4.1) ÷ 3 = 4.2. If one of them is far from the others, find out why before you leave it out.

And it must be written down so that someone else could do it again.`,
  ),
  piece(
    'M2.1',
    'check',
    'pro102',
    'Check: properties worth measuring',
    10,
    7,
    'Eight questions about measuring properties.',
    [
      one(
        'Which of these is a property of a material?',
        ['Its density', 'Its price today', 'Its owner', 'The shape of one piece'],
        { s: S5, d: 2, fb: 'Density belongs to the material, whatever the piece.' },
      ),
      one(
        'You compare how much rubber and nylon stretch. What must be different?',
        ['Only the material', 'Material and thickness', 'Material and weight', 'Everything'],
        { s: S5, d: 1, fb: 'In a fair test only one thing changes.' },
      ),
      num('Three measurements gave 6.0, 6.3 and 6.6 cm. What is their mean, in cm?', 6.3, 0.01, 'cm', {
        s: S5,
        d: 2,
        fb: '18.9 ÷ 3 = 6.3.',
      }),
      num('Four measurements gave 12, 14, 13 and 13 s. What is their mean, in s?', 13, 0.01, 's', {
        s: S5,
        d: 2,
        fb: '52 ÷ 4 = 13.',
      }),
      one(
        'One of five results is far from the others. What should you do first?',
        ['Find out why', 'Leave it out', 'Change it to fit', 'Keep only this one'],
        { s: S5, d: 2, fb: 'It may be a slip, or a discovery.' },
      ),
      many(
        'What makes a measurement fair and trustworthy?',
        ['Changing one thing only', 'Repeating it', 'Writing down how it was done'],
        ['Using the most expensive tool', 'Choosing the result you expected'],
        { s: S5, d: 2, fb: 'One change, several results, a clear record.' },
      ),
      one(
        'Why is a thick cotton string against a thin nylon thread not fair?',
        [
          'Thickness differs as well as material',
          'Cotton is a plant',
          'Nylon is stronger',
          'Strings cannot be compared',
        ],
        { s: S5, d: 3, fb: 'The difference could come from the thickness.' },
      ),
      txt(
        'What do you call the sum of the results divided by their number?',
        ['mean', 'the mean', 'average', 'the average'],
        { s: S5, d: 1, fb: 'The mean.' },
      ),
    ],
  ),
  piece(
    'M2.2',
    'reading',
    'pro201',
    'Hard, stiff, strong',
    12,
    7,
    `
In daily talk hard, stiff and strong mean nearly the same. For a maker they are three different things.

A **hard** material is difficult to scratch. Glass scratches copper, copper does not scratch glass: glass is harder. Diamond scratches everything else.

A **stiff** material is difficult to bend or stretch. Steel is stiff, rubber is not. Stiffness says how much something gives way under a small load, not when it breaks.

A **strong** material carries a great load before it breaks. A steel wire with a cross-section of one square millimetre carries 500 newtons or more, about the weight of a person of 50 kg; a cotton thread of the same thickness carries less than half of that.

Glass is hard and stiff but breaks without warning: it is **brittle**. Rubber is neither hard nor stiff, but can be stretched to several times its length before it breaks: it is **tough**.`,
  ),
  piece(
    'M2.2',
    'check',
    'pro202',
    'Check: hard, stiff, strong',
    12,
    7,
    'Eight questions about three words that are easily mixed up.',
    [
      one(
        'What does it mean that glass is harder than copper?',
        ['Glass scratches copper', 'Glass bends less', 'Glass carries more', 'Glass is heavier'],
        { s: S6, d: 1, fb: 'Hardness is about scratching.' },
      ),
      one('Which word tells how difficult it is to bend something?', ['Stiff', 'Hard', 'Strong', 'Brittle'], {
        s: S6,
        d: 2,
        fb: 'Stiff.',
      }),
      one(
        'Which word tells how much load something carries before it breaks?',
        ['Strong', 'Stiff', 'Hard', 'Dense'],
        { s: S6, d: 2, fb: 'Strong.' },
      ),
      txt('What do you call a material that breaks suddenly, without bending first?', ['brittle'], {
        s: S6,
        d: 2,
        fb: 'Brittle.',
      }),
      many('What is true of window glass?', ['It is hard', 'It is stiff', 'It is brittle'], ['It is tough'], {
        s: S6,
        d: 3,
        fb: 'It breaks without warning.',
      }),
      num(
        'A wire of 1 mm² carries 500 N. How much does a wire of the same steel with 3 mm² carry, in N?',
        1500,
        10,
        'N',
        { s: S6, d: 3, fb: 'Three times the cross-section, three times the load.' },
      ),
      one(
        'Fishing line stretches a lot but does not break easily. It is',
        ['strong but not stiff', 'stiff but not strong', 'hard and stiff', 'neither strong nor tough'],
        { s: S6, d: 3, fb: 'It gives way, yet carries much.' },
      ),
      one(
        'A nail scratches a tile of chalk, and quartz scratches the nail. Which is hardest?',
        ['Quartz', 'The nail', 'Chalk', 'It cannot be known'],
        { s: S6, d: 2, fb: 'Quartz scratches the nail, the nail scratches chalk.' },
      ),
    ],
  ),
  piece(
    'M2.3',
    'check',
    'pro302',
    'Check: conductors and insulators',
    10,
    7,
    'Eight questions about what lets heat and current through.',
    [
      one(
        'Why do pans often have wooden handles?',
        ['Wood conducts heat badly', 'Wood is lighter', 'Wood does not burn', 'Wood is harder than metal'],
        { s: S7, d: 1, fb: 'A bad conductor keeps the hand cool.' },
      ),
      many(
        'Which of these conduct electric current well?',
        ['Copper', 'Iron', 'Graphite'],
        ['Rubber', 'Glass'],
        { s: S7, d: 2, fb: 'Metals and graphite conduct; rubber and glass insulate.' },
      ),
      txt('What do you call a material that hardly lets a current pass?', ['insulator', 'an insulator'], {
        s: S7,
        d: 1,
        fb: 'An insulator.',
      }),
      one(
        'A metal bench and a wooden bench stand outside all night. Which is colder in the morning?',
        [
          'Neither, both have the temperature of the air',
          'The metal one',
          'The wooden one',
          'The one in the shade of a tree',
        ],
        { s: S7, d: 4, fb: 'Metal only feels colder, because it takes heat from the hand faster.' },
      ),
      one(
        'Why does a woollen jumper keep you warm?',
        [
          'It holds still air, a bad conductor',
          'It makes heat',
          'It takes up cold',
          'It is thicker than skin',
        ],
        { s: S7, d: 3, fb: 'Still air between the fibres insulates.' },
      ),
      one('Which is the best conductor of heat?', ['Copper', 'Stone', 'Water', 'Air'], {
        s: S7,
        d: 2,
        fb: 'Metals conduct best.',
      }),
      one(
        'How can you test whether a strip conducts current?',
        ['Put it into a circuit with a lamp and a battery', 'Weigh it', 'Scratch it', 'Put it into water'],
        { s: S7, d: 2, fb: 'The lamp lights if it does.' },
      ),
      num(
        'A window of one pane lets 60 W through. With two panes and air between it lets half as much through. How much is that, in W?',
        30,
        0.5,
        'W',
        { s: S7, d: 2, fb: '60 ÷ 2 = 30.' },
      ),
    ],
  ),
]
