import { expose } from 'comlink'
import { Looker } from './look'

expose(new Looker())
