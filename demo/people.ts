import { seededRandom, shuffled } from '#core/base'

const FIRST = ['Abeni', 'Alma', 'Anouk', 'Arjun', 'Aroha', 'Basil', 'Bilal', 'Bo', 'Camila', 'Chidi', 'Dalia', 'Darya', 'Diego', 'Edda', 'Eero', 'Elif', 'Enzo', 'Esi', 'Farah', 'Felix', 'Freya', 'Gabriel', 'Hana', 'Hugo', 'Ida', 'Ilya', 'Imre', 'Inés', 'Jamal', 'Jonas', 'June', 'Kaia', 'Keanu', 'Kofi', 'Lars', 'Leila', 'Lucía', 'Mads', 'Maren', 'Mateo', 'Mei', 'Milo', 'Mina', 'Nadia', 'Nils', 'Noor', 'Oleg', 'Oona', 'Pavel', 'Petra', 'Quinn', 'Rania', 'Rafael', 'Rosa', 'Sami', 'Sana', 'Selma', 'Taro', 'Thandi', 'Tove', 'Uma', 'Valentin', 'Vera', 'Wren', 'Yara', 'Yusuf', 'Zara', 'Zofia'] as const
const LAST = ['Abara', 'Acheson', 'Almeida', 'Anand', 'Baptiste', 'Bergmann', 'Bondarenko', 'Castellan', 'Chaudhry', 'Cisneros', 'Dahl', 'Diallo', 'Eklund', 'Espinoza', 'Falk', 'Fontaine', 'Gallego', 'Gupta', 'Haddad', 'Halloran', 'Hoang', 'Ibarra', 'Ito', 'Jankowski', 'Kaur', 'Kekana', 'Kovacs', 'Larsen', 'Lindgren', 'Lozano', 'Mahmoud', 'Marchetti', 'Mensah', 'Moreau', 'Nakai', 'Nandi', 'Novak', 'Nwosu', 'Odell', 'Okoye', 'Olsen', 'Ortiz', 'Park', 'Pereira', 'Quispe', 'Rahman', 'Reyes', 'Rossi', 'Sandoval', 'Sato', 'Sharma', 'Silva', 'Sorensen', 'Tadesse', 'Tanaka', 'Toledo', 'Uchida', 'Vargas', 'Vasquez', 'Villanueva', 'Weiss', 'Yilmaz', 'Zamora', 'Zielinski'] as const

/** Invented learners' names, none twice, the same for the same seed. */
export function inventNames(count: number, seed: number): string[] {
  const random = seededRandom(seed)
  const lasts = [...shuffled(LAST, random), ...shuffled(LAST, random), ...shuffled(LAST, random)]
  const firsts = [...shuffled(FIRST, random), ...shuffled(FIRST, random), ...shuffled(FIRST, random)]
  const names = new Set<string>()
  for (let i = 0; names.size < count && i < lasts.length; i++) names.add(`${firsts[i]} ${lasts[i]}`)
  return [...names]
}
