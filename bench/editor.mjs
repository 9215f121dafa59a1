import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { root } from '../scripts/ready.mjs'

/** Where a package's module for browsers lies, from its own description. */
function moduleOf(name) {
  const [scope, rest, ...deeper] = name.split('/')
  const [own, path] = scope.startsWith('@')
    ? [`${scope}/${rest}`, deeper.join('/')]
    : [scope, rest ? [rest, ...deeper].join('/') : '']
  const described = JSON.parse(
    readFileSync(join(root, 'node_modules', own, 'package.json'), 'utf8'),
  )
  const ways = described.exports?.[path ? `./${path}` : '.'] ?? described.exports
  const found = (way) => (typeof way === 'string' ? way : found(way.import ?? way.default))
  return join(own, ways ? found(ways) : (described.module ?? described.main))
}

/** The address of each package one imports, and of those that one imports. */
function importsOf(first) {
  const imports = {}
  const look = (name) => {
    if (imports[name]) return
    const file = moduleOf(name)
    imports[name] = `/packages/${file}`
    const text = readFileSync(join(root, 'node_modules', file), 'utf8')
    for (const [, from] of text.matchAll(
      /^(?:import|export)\b[^'"]*?\bfrom ?["']([@a-z][\w./@-]*)["']/gm,
    ))
      look(from)
  }
  for (const name of first) look(name)
  return imports
}

/**
 * The same text in the same editor, alone on a page: no shelf, no toolbar, nothing that is kept.
 *
 * @param shelf a page with a shelf whose documents have been seen
 * @param window whose document it is
 * @param address of the application, whose styles it uses
 */
export async function bareEditor(browser, shelf, window, address) {
  const { css, html } = await shelf.evaluate((id) => {
    const sheets = [...document.styleSheets].flatMap(({ cssRules }) => [...cssRules])
    return {
      css: sheets.map(({ cssText }) => cssText).join('\n'),
      html: document.querySelector(`#window-${id} [contenteditable=true]`).innerHTML,
    }
  }, window)
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.route('**/packages/**', (route) => {
    const file = new URL(route.request().url()).pathname.replace('/packages/', '')
    return route.fulfill({
      contentType: 'text/javascript',
      body: readFileSync(join(root, 'node_modules', file)),
    })
  })
  const imports = importsOf(['@tiptap/core', '@tiptap/starter-kit'])
  await page.route('**/editor.html', (route) =>
    route.fulfill({
      contentType: 'text/html',
      body: `<!doctype html><meta charset="utf-8"><style>${css}</style>
<script type="importmap">${JSON.stringify({ imports })}</script>
<body><div id="place" style="width:398px;height:234px;overflow:auto"></div>
<script type="module">
  import { Editor } from '@tiptap/core'
  import StarterKit from '@tiptap/starter-kit'
  new Editor({
    element: document.getElementById('place'),
    extensions: [StarterKit],
    injectCSS: false,
    content: ${JSON.stringify(html)},
    editorProps: { attributes: { class: 'prose px-[18px] py-3' } },
  })
</script>`,
    }),
  )
  await page.goto(`${address}/editor.html`)
  await page.locator('[contenteditable=true]').waitFor()
  return page
}
