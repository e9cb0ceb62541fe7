import { asId } from '#core/base'
import type { BookId, ResourceId } from '#core/base'
import { BENCHMARK_TIMES } from '#core/library'
import type { Book, BookLesson } from '#core/library'

const lessons = (
  unit: string,
  rows: readonly (readonly [title: string, meetings: number, kind?: BookLesson['kind']])[],
): BookLesson[] =>
  rows.map(([title, typicalMeetings, kind = 'lesson'], i) => ({
    id: `${unit}.${i + 1}`,
    number: `${unit}.${i + 1}`,
    title,
    typicalMeetings,
    kind,
  }))

/** Codes of a book's tests of the whole year: a stem and 1 to 3. */
const benchmarks = (stem: string) =>
  BENCHMARK_TIMES.map((at, i) => ({ at, resourceId: asId<ResourceId>(`piece-${stem}${i + 1}`) }))

/** Textbook outline of Science 8. */
export const WAVES: Book = {
  id: asId<BookId>('book-waves'),
  title: 'Waves and Signals',
  course: 'Science 8',
  grade: 8,
  benchmarks: benchmarks('wbm'),
  units: [
    {
      number: 'W1',
      title: 'Vibrations',
      lessons: lessons('W1', [
        ['What a vibration is', 1.5],
        ['Amplitude, period, frequency', 2.5],
        ['The pendulum', 2],
        ['Energy in a vibration', 2],
        ['Damping and resonance', 2.5],
        ['Looking back at vibrations', 1, 'review'],
        ['Test: vibrations', 1, 'test'],
      ]),
    },
    {
      number: 'W2',
      title: 'Mechanical waves',
      lessons: lessons('W2', [
        ['From a pulse to a wave', 2],
        ['Wavelength and wave speed', 3],
        ['Transverse and longitudinal', 2],
        ['Waves that bounce back', 1.5],
        ['Waves that meet', 2],
        ['Looking back at waves', 0.5, 'review'],
        ['Test: mechanical waves', 1, 'test'],
      ]),
    },
    {
      number: 'W3',
      title: 'Sound',
      lessons: lessons('W3', [
        ['What sound is', 1.5],
        ['Pitch and loudness', 2],
        ['The speed of sound', 1.5],
        ['Echoes and ranging', 2],
        ['The ear', 1.5],
        ['Strings and pipes', 2],
        ['Test: sound', 1, 'test'],
      ]),
    },
    {
      number: 'W4',
      title: 'Light on its way',
      lessons: lessons('W4', [
        ['Light travels', 1.5],
        ['Shadows and eclipses', 1.5],
        ['Reflection', 2],
        ['Refraction', 2],
        ['Lenses', 2],
        ['Test: light', 1, 'test'],
      ]),
    },
    {
      number: 'W5',
      title: 'Colour and seeing',
      lessons: lessons('W5', [
        ['White light taken apart', 1.5],
        ['Absorbed, reflected, let through', 2],
        ['Mixing light, mixing paint', 1.5],
        ['The eye', 1.5],
        ['Looking back at colour', 0.5, 'review'],
        ['Test: colour and seeing', 1, 'test'],
      ]),
    },
    {
      number: 'W6',
      title: 'The electromagnetic spectrum',
      lessons: lessons('W6', [
        ['Beyond red, beyond violet', 1.5],
        ['Radio and microwaves', 1.5],
        ['Infrared', 1.5],
        ['Ultraviolet and X-rays', 2],
        ['Risks and benefits', 1.5],
        ['Test: the spectrum', 1, 'test'],
      ]),
    },
    {
      number: 'W7',
      title: 'Signals',
      lessons: lessons('W7', [
        ['What a signal carries', 1.5],
        ['Sampling', 2],
        ['Bits', 2],
        ['Noise', 1.5],
        ['Why digital signals last', 1.5],
        ['Test: signals', 1, 'test'],
      ]),
    },
    {
      number: 'W8',
      title: 'A message across the valley',
      lessons: lessons('W8', [
        ['The task', 1],
        ['Design and build', 3, 'project'],
        ['Trial and repair', 2, 'project'],
        ['Report', 1.5, 'project'],
        ['Looking back at the year', 1, 'review'],
      ]),
    },
  ],
}

/** Textbook outline of Science 7. */
export const HEAT: Book = {
  id: asId<BookId>('book-heat'),
  title: 'Materials and Heat',
  course: 'Science 7',
  grade: 7,
  benchmarks: benchmarks('mbm'),
  units: [
    {
      number: 'M1',
      title: 'Matter and particles',
      lessons: lessons('M1', [
        ['Mass and volume', 2],
        ['Density', 3],
        ['The particle model', 2.5],
        ['Gases push', 2.5],
        ['Looking back at matter', 1, 'review'],
        ['Test: matter', 1, 'test'],
      ]),
    },
    {
      number: 'M2',
      title: 'What materials can do',
      lessons: lessons('M2', [
        ['Properties worth measuring', 2.5],
        ['Hard, stiff, strong', 3],
        ['Conductors and insulators', 2.5],
        ['Choosing a material', 3, 'project'],
        ['Test: properties', 1, 'test'],
      ]),
    },
    {
      number: 'M3',
      title: 'Mixtures',
      lessons: lessons('M3', [
        ['Pure or mixed', 1.5],
        ['Solutions', 2],
        ['Filtering and evaporating', 2],
        ['Distillation', 2],
        ['Chromatography', 1.5],
        ['Test: mixtures', 1, 'test'],
      ]),
    },
    {
      number: 'M4',
      title: 'Temperature',
      lessons: lessons('M4', [
        ['Thermometers', 1.5],
        ['Temperature and particle motion', 2],
        ['Expanding and shrinking', 2],
        ['Thermal energy', 2],
        ['Looking back at temperature', 0.5, 'review'],
        ['Test: temperature', 1, 'test'],
      ]),
    },
    {
      number: 'M5',
      title: 'Heat on the move',
      lessons: lessons('M5', [
        ['Conduction', 2],
        ['Convection', 2],
        ['Radiation', 2],
        ['Keeping warm, keeping cool', 2, 'project'],
        ['Test: heat', 1, 'test'],
      ]),
    },
    {
      number: 'M6',
      title: 'Changes of state',
      lessons: lessons('M6', [
        ['Melting and freezing', 2],
        ['Boiling and evaporation', 2],
        ['Condensation and the water cycle', 1.5],
        ['Heating curves', 2],
        ['Test: changes of state', 1, 'test'],
      ]),
    },
    {
      number: 'M7',
      title: 'Materials over time',
      lessons: lessons('M7', [
        ['Rust and rot', 2],
        ['Plastics', 2],
        ['Recycling', 1.5],
        ['A life-cycle study', 2, 'project'],
        ['Test: materials over time', 1, 'test'],
      ]),
    },
    {
      number: 'M8',
      title: 'The warm hut',
      lessons: lessons('M8', [
        ['The task', 1],
        ['Design and build', 3, 'project'],
        ['Overnight trial', 2, 'project'],
        ['Report', 1.5, 'project'],
        ['Looking back at the year', 1, 'review'],
      ]),
    },
  ],
}
