import { askerOf, notThere } from '@/outside/pages'

export const GET = (request: Request): Response => notThere(askerOf(request))
