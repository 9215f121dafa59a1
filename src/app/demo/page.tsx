import { headers } from 'next/headers'
import { Workspace } from '@/ui/page/Workspace'

export default async function Page() {
  const nonce = (await headers()).get('x-nonce') ?? ''
  return <Workspace name="demo" nonce={nonce} />
}
