import { notice } from '@/outside/pages'

export const GET = ({ headers }: Request): Response => notice(headers.get('x-nonce') ?? '')
