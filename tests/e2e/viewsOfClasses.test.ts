import { looksAtViews } from './places'

looksAtViews('classes')
