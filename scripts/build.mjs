// Builds the application when its sources are not those of the last build.
import { build } from './ready.mjs'

build()
