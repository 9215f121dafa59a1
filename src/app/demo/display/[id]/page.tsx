import { headers } from 'next/headers'
import { Workspace } from '@/ui/page/Workspace'

export default async function Page({ params }: { params: Promise<{ id: string }> }) {
  const nonce = (await headers()).get('x-nonce') ?? ''
  const { id } = await params
  return <Workspace name="demo" nonce={nonce} display={decodeURIComponent(id)} />
}
