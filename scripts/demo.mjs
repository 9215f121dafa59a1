// npm run demo: the application with the demo data.
import { serve } from './serve.mjs'

const { address } = await serve({ demo: true })
console.log(`\nKite Shelf with the demo data: ${address}/demo\nCtrl+C stops it.`)
