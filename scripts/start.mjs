// npm start: the application with the person's own shelf.
import { serve } from './serve.mjs'

const { address } = await serve()
console.log(`\nKite Shelf: ${address}/shelf\nCtrl+C stops it.`)
