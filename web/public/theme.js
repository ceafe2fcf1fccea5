// Sets the theme before the first paint, so that nothing flashes.
try {
  const kept = localStorage.getItem('zucchini:theme')
  document.documentElement.dataset.theme = kept || (matchMedia('(prefers-color-scheme: dark)').matches ? 'dark' : 'light')
} catch {
  document.documentElement.dataset.theme = 'light'
}
