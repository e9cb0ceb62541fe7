import { looksAtViews } from './places'

looksAtViews('pace')
