/** Minutes after midnight of a typed clock time: '14:30', '2.30 pm', '9', '3pm'; null for anything else. */
export function readTypedClock(text: string): number | null {
  const parts = /^(\d{1,2})(?:[:.h ]?(\d{2}))? ?([ap])?\.?(?:m\.?)?$/.exec(text.trim().toLowerCase())
  if (!parts) return null
  const [, hours = '', minutes = '0', half] = parts
  const hour = Number(hours)
  const minute = Number(minutes)
  if (minute > 59 || (half ? hour < 1 || hour > 12 : hour > 23)) return null
  const afternoon = half === 'p' ? 12 : 0
  return (half ? (hour % 12) + afternoon : hour) * 60 + minute
}
