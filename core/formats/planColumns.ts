/** What may head a column of a plan table; the first of its words is how it is written. */
export const PLAN_COLUMNS = {
  unit: ['unit', 'topic', 'chapter', 'einheit', 'thema', 'kapitel', 'unité', 'chapitre', 'unidad', 'tema'],
  number: ['number', 'no', 'no.', 'code', 'nr', 'nr.', 'nummer', 'numéro', 'n°', 'número'],
  title: ['title', 'lesson', 'titel', 'lektion', 'stunde', 'titre', 'leçon', 'séance', 'título', 'lección'],
  kind: ['kind', 'type', 'art', 'typ', 'tipo'],
  weight: ['weight', 'gewicht', 'gewichtung', 'poids', 'peso'],
  least: ['least', 'min', 'minimum', 'mindestens', 'au moins', 'mínimo'],
  usual: [
    'usual',
    'meetings',
    'length',
    'typical',
    'stunden',
    'dauer',
    'séances',
    'durée',
    'sesiones',
    'duración',
  ],
  most: ['most', 'max', 'maximum', 'höchstens', 'au plus', 'máximo'],
  fixed: ['fixed', 'date', 'fixed date', 'termin', 'datum', 'date fixe', 'fecha'],
  break: ['not after a break', 'not after break', 'break'],
} as const
