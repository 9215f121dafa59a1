import { expose } from 'comlink'
import { bestOrder } from '@/core/insight/order'

expose({ bestOrder })
