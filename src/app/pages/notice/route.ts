import { askerOf, notice } from '@/outside/pages'

export const GET = (request: Request): Response => notice(askerOf(request))
