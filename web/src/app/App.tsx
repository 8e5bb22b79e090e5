import { QueryClient, QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query'
import { useEffect, useState } from 'react'
import { BrowserRouter, Route, Routes } from 'react-router'
import { CircuitsPage, SheetPage } from '../features/circuits'
import { HouseRulesPage } from '../features/house-rules'
import { JobBenchPage } from '../features/job-bench'
import { JobList, NewJobPage } from '../features/jobs'
import { SignIn, SignInPage } from '../features/sign-in'
import { SumsPage } from '../features/sums'
import { Today } from '../features/today'
import { UnitSheetPage } from '../features/unit-sheet'
import { EditUnitPage, NewUnitPage, UnitList } from '../features/units'
import { HttpError, onSignedOut } from '../shared/api/http'
import type { Person } from '../shared/api/types'
import { session } from '../shared/session/session'
import { Button } from '../shared/ui/Button'
import { Sheet } from '../shared/ui/Sheet'
import { Waiting } from '../shared/ui/Waiting'
import { Frame } from './Frame'

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) => count < 2 && !(error instanceof HttpError && error.status >= 400),
      staleTime: 5_000,
    },
  },
})

/** Signed out in the middle of work: sign in over the page, what was typed stays under it. */
function SignInAgain({ person }: { person: Person }) {
  const [open, setOpen] = useState(false)
  const client = useQueryClient()
  useEffect(
    () =>
      onSignedOut(() => {
        setOpen(true)
      }),
    [],
  )
  return (
    <Sheet
      title="You are signed out. What you typed is kept"
      open={open}
      onClose={() => {
        setOpen(false)
      }}
    >
      <SignIn
        onDone={(now) => {
          // Somebody else at this device: nothing of what the one before typed or saw stays on the page.
          if (now.id !== person.id) window.location.assign('/')
          setOpen(false)
          void client.invalidateQueries()
        }}
      />
    </Sheet>
  )
}

function Pages() {
  const client = useQueryClient()
  const { data: person, error, isPending, refetch } = useQuery(session())
  if (isPending) return <Waiting what="who you are" />
  if (!person) {
    if (error.message && error instanceof HttpError && error.status === 401) {
      return <SignInPage onDone={() => void client.invalidateQueries()} />
    }
    return (
      <main className="p-8">
        <p className="pb-4">{error.message}</p>
        <Button onClick={() => void refetch()}>Try again</Button>
      </main>
    )
  }
  return (
    <Frame person={person}>
      <Routes>
        <Route path="/" element={<Today />} />
        <Route path="/units" element={<UnitList />} />
        <Route path="/units/new" element={<NewUnitPage />} />
        <Route path="/units/:id" element={<UnitSheetPage />} />
        <Route path="/units/:id/edit" element={<EditUnitPage />} />
        <Route path="/units/:id/jobs/new" element={<NewJobPage />} />
        <Route path="/jobs" element={<JobList />} />
        <Route path="/jobs/:id" element={<JobBenchPage />} />
        <Route path="/circuits" element={<CircuitsPage />} />
        <Route path="/circuits/:id" element={<SheetPage />} />
        <Route path="/sums" element={<SumsPage />} />
        <Route path="/sums/:key" element={<SumsPage />} />
        <Route path="/house-rules" element={<HouseRulesPage />} />
        <Route
          path="*"
          element={
            <p className="py-8">
              Nothing is kept under this address, part of it may be lost: look it up by its number.
            </p>
          }
        />
      </Routes>
      <SignInAgain person={person} />
    </Frame>
  )
}

export function App() {
  return (
    <QueryClientProvider client={queries}>
      <BrowserRouter>
        <Pages />
      </BrowserRouter>
    </QueryClientProvider>
  )
}
