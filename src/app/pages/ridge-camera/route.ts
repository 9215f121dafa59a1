import { ridgeCamera } from '@/outside/pages'

export const dynamic = 'force-dynamic'

export const GET = (): Response => ridgeCamera(Date.now())
