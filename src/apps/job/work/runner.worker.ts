import { expose } from 'comlink'
import { Runner } from './runner'

expose(new Runner())
