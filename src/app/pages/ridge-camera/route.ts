import { ridgeCamera } from '@/outside/pages'

export const GET = ({ headers }: Request): Response =>
  ridgeCamera(headers.get('x-nonce') ?? '', Date.now())
