import { Server } from 'node:http'
import { guardServer } from './server'

guardServer(Server.prototype)
