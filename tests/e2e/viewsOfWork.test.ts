import { looksAtViews } from './places'

looksAtViews('work')
