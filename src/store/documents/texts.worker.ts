import { expose } from 'comlink'
import { Texts } from '@/core/finding/texts'

expose(new Texts())
