// npm run icons: the pictures of the installed application, from that of the page.
import { mkdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { chromiumFlags, installChromium, root } from './ready.mjs'

installChromium()
const { chromium } = await import('@playwright/test')
const folder = join(root, 'public/icons')
mkdirSync(folder, { recursive: true })
const kite = readFileSync(join(root, 'src/app/icon.svg'), 'utf8')
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: chromiumFlags })

/** @param share of the width the kite has; the rest is ground, where there is any */
async function icon(name, size, share, ground) {
  const page = await browser.newPage({ viewport: { width: size, height: size } })
  await page.setContent(
    `<style>body{margin:0;height:100vh;display:grid;place-items:center;background:${ground}}
     svg{height:${share * 100}vh}</style>${kite}`,
  )
  await page.screenshot({ path: join(folder, `${name}.png`), omitBackground: true })
  await page.close()
}

await icon('kite-192', 192, 0.94, 'transparent')
await icon('kite-512', 512, 0.94, 'transparent')
// Cut to any shape: what matters stays within the middle four fifths.
await icon('kite-maskable', 512, 0.58, '#efeae0')
await browser.close()
console.log(`Wrote the icons to ${folder}`)
