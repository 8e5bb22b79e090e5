/** Humps of compression against their mean: one that is low stands out. */
export function Compression({ shares, least = 90 }: { shares: number[]; least?: number }) {
  return (
    <section aria-labelledby="compression">
      <h2 id="compression" className="rule-below pb-1 text-lead">
        Compression, hump by hump
      </h2>
      <ol className="grid grid-cols-[repeat(auto-fill,minmax(5rem,1fr))] gap-x-4 pt-2">
        {shares.map((share, index) => (
          <li key={index} className="flex flex-col">
            <span className={`text-reading font-semibold ${share < least ? 'text-act' : ''}`}>
              {Math.round(share)} %
            </span>
            <span className="text-quiet">{index + 1}</span>
          </li>
        ))}
      </ol>
      <p className="pt-1 text-quiet">
        In the order they come, of their mean; which cylinder comes first a trace does not say.
      </p>
    </section>
  )
}
