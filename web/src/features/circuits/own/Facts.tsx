import { useQuery } from '@tanstack/react-query'
import { useState } from 'react'
import { useMay } from '../../../shared/session/session'
import { Button } from '../../../shared/ui/Button'
import { Sheet } from '../../../shared/ui/Sheet'
import { itemFacts } from '../../../shared/api/ownFacts'
import type { SheetTable } from '../../../shared/api/circuits'
import { Shown } from '../../../shared/page/Shown'
import { saidOf } from './facts'
import { OwnForm } from './OwnForm'
import { OwnWords } from './OwnWords'

/** What is said of one wire or component; what this unit has otherwise is underlined, as on the drawing. */
export function Facts({ sheet, item }: { sheet: SheetTable; item: string }) {
  const asked = useQuery(itemFacts(sheet.id, item))
  const may = useMay()('edit_circuits')
  const [saying, setSaying] = useState(false)
  return (
    <Shown asked={asked} what="its facts">
      {(data) => {
        const facts = data.facts.filter((fact) => fact.says !== null || fact.own)
        return (
          <section aria-label={`Facts of ${data.name}`} className="flex flex-col gap-3">
            <dl>
              {facts.map((fact) => (
                <div key={fact.field} className="rule-below grid grid-cols-[7rem_1fr] gap-x-3 py-1">
                  <dt className="text-quiet">{fact.label}</dt>
                  <dd>
                    <span className={fact.own ? 'font-semibold underline underline-offset-4' : ''}>{saidOf(fact)}</span>
                    <OwnWords fact={fact} />
                  </dd>
                </div>
              ))}
            </dl>
            {sheet.unit && may && (
              <Button
                className="self-start"
                onClick={() => {
                  setSaying(true)
                }}
              >
                {sheet.unit.number} has it otherwise
              </Button>
            )}
            {sheet.unit && (
              <Sheet
                title={`${data.name.replace('wire', 'Wire')} on ${sheet.unit.number}`}
                open={saying}
                onClose={() => {
                  setSaying(false)
                }}
              >
                <OwnForm
                  sheetId={sheet.id}
                  unit={sheet.unit.number}
                  item={data}
                  onDone={() => {
                    setSaying(false)
                  }}
                />
              </Sheet>
            )}
          </section>
        )
      }}
    </Shown>
  )
}
