// Runs before anything is painted or loaded. Sets the theme, so that nothing flashes.
try {
  const kept = localStorage.getItem('zucchini:theme')
  document.documentElement.dataset.theme =
    kept || (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light')
} catch {
  document.documentElement.dataset.theme = 'light'
}
// What every screen asks for first is asked for while the program itself still loads; whoever wants it takes it from
// here, once.
const zone = { 'x-time-zone': Intl.DateTimeFormat().resolvedOptions().timeZone }
window.zucchiniEarly = new Map(
  ['/api/catalogue', '/api/locker/pieces', '/api/operator', '/api/prices'].map((path) => {
    const answer = fetch(path, { headers: zone })
    // Without an answer it is asked for again in the ordinary way.
    return [path, answer.catch(() => undefined)]
  }),
)
