import { looksAtViews } from './places'

looksAtViews('shelf')
