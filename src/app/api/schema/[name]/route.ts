import { PUBLISHED } from '@/core/formats/published'

/** The JSON Schema of a file: `settings` or `shelf`. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ name: string }> },
): Promise<Response> {
  const { name } = await params
  const made = Object.hasOwn(PUBLISHED, name) ? PUBLISHED[name] : undefined
  if (made) return Response.json(made(), { headers: { 'Content-Type': 'application/schema+json' } })
  const names = Object.keys(PUBLISHED).join(', ')
  return Response.json(
    { problem: `There is no schema “${name}”. There are: ${names}.` },
    { status: 404 },
  )
}
