import { expose } from 'comlink'
import { calendars } from './calendars'

expose(calendars)
