import { expose } from 'comlink'
import { reading } from './reading'

expose(reading)
