import { notice } from '@/outside/pages'

export const GET = (): Response => notice()
