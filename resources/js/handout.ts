import '@fontsource-variable/source-serif-4/standard.css'
import '@fontsource-variable/source-sans-3/wght.css'

// A page the server has set: all there is to do is to print it.
document.querySelector('[data-print]')?.addEventListener('click', () => window.print())
