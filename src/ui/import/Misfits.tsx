/** Documents that come without what their app cannot show. */
export function Misfits({ list }: { list: string[] }) {
  if (list.length === 0) return null
  return (
    <div className="mt-3 text-alarm">
      <p>Some content doesn’t fit its app. It is kept aside, and these open without it:</p>
      <ul className="max-h-32 list-disc overflow-auto pl-5">
        {list.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
    </div>
  )
}
