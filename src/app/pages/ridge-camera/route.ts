import { askerOf, ridgeCamera } from '@/outside/pages'

export const GET = (request: Request): Response => ridgeCamera(askerOf(request), Date.now())
