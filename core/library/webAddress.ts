/** An address that may be opened by whoever is given it: https, with a host, no name or password in it. */
export function isWebAddress(text: string): boolean {
  if (!URL.canParse(text)) return false
  const { protocol, hostname, username, password } = new URL(text)
  return protocol === 'https:' && hostname.includes('.') && username === '' && password === ''
}
