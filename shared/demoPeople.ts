import type { DemoPerson } from './contracts/accounts'

export const DEMO_PASSWORD = 'tarn-hollow'

/** The people of the demo who can be signed in with one click. */
export const DEMO_PEOPLE: readonly DemoPerson[] = [
  {
    name: 'Imani Okafor-Reyes',
    signIn: 'imani',
    password: DEMO_PASSWORD,
    role: 'teacher',
    about: 'Teaches five science sections',
  },
  {
    name: 'Tomasz Lindqvist',
    signIn: 'tomasz',
    password: DEMO_PASSWORD,
    role: 'teacher',
    about: 'Co-teaches Science 8 B',
  },
  {
    name: 'Ruth Adeyemi',
    signIn: 'ruth',
    password: DEMO_PASSWORD,
    role: 'lead',
    about: 'Leads the science department',
  },
  { name: 'Noa Castellanos', signIn: 'noa', password: DEMO_PASSWORD, role: 'learner', about: 'Science 8 A' },
  {
    name: 'Emeka Brandt',
    signIn: 'emeka',
    password: DEMO_PASSWORD,
    role: 'learner',
    about: 'Science 8 B, has extra time',
  },
  { name: 'Linh Petrov', signIn: 'linh', password: DEMO_PASSWORD, role: 'learner', about: 'Science 8 C' },
  {
    name: 'Saoirse Mbeki',
    signIn: 'saoirse',
    password: DEMO_PASSWORD,
    role: 'learner',
    about: 'Science 7 D',
  },
]
