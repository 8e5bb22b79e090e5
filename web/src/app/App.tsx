import { QueryClient, QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query'
import { lazy, Suspense, useEffect, useState } from 'react'
import { BrowserRouter, Route, Routes, useLocation } from 'react-router'
import { SignIn, SignInPage } from '../features/sign-in'
import { Today } from '../features/today'
import { HttpError, onSignedOut } from '../shared/api/http'
import type { Person } from '../shared/api/types'
import { session } from '../shared/session/session'
import { ErrorBoundary } from '../shared/page/ErrorBoundary'
import { Button } from '../shared/ui/Button'
import { Sheet } from '../shared/ui/Sheet'
import { Waiting } from '../shared/ui/Waiting'
import { Frame } from './Frame'

const batteries = () => import('../features/batteries')
const circuits = () => import('../features/circuits')
const units = () => import('../features/units')
const jobs = () => import('../features/jobs')
const CircuitsPage = lazy(async () => ({ default: (await circuits()).CircuitsPage }))
const SheetPage = lazy(async () => ({ default: (await circuits()).SheetPage }))
const EditorPage = lazy(async () => ({ default: (await import('../features/sheet-editor')).EditorPage }))
const GroundsPage = lazy(async () => ({ default: (await import('../features/grounds')).GroundsPage }))
const RoundPage = lazy(async () => ({ default: (await import('../features/rounds')).RoundPage }))
const TracesPage = lazy(async () => ({ default: (await import('../features/traces')).TracesPage }))
const PartPage = lazy(async () => ({ default: (await import('../features/parts')).PartPage }))
const TagPage = lazy(async () => ({ default: (await import('../features/tag')).TagPage }))
const HouseRulesPage = lazy(async () => ({ default: (await import('../features/house-rules')).HouseRulesPage }))
const JobBenchPage = lazy(async () => ({ default: (await import('../features/job-bench')).JobBenchPage }))
const JobDrawingPage = lazy(async () => ({ default: (await import('../features/job-bench')).JobDrawingPage }))
const JobList = lazy(async () => ({ default: (await jobs()).JobList }))
const NewJobPage = lazy(async () => ({ default: (await jobs()).NewJobPage }))
const ShelfPage = lazy(async () => ({ default: (await batteries()).ShelfPage }))
const BatteryPage = lazy(async () => ({ default: (await batteries()).BatteryPage }))
const SumsPage = lazy(async () => ({ default: (await import('../features/sums')).SumsPage }))
const UnitSheetPage = lazy(async () => ({ default: (await import('../features/unit-sheet')).UnitSheetPage }))
const UnitList = lazy(async () => ({ default: (await units()).UnitList }))
const NewUnitPage = lazy(async () => ({ default: (await units()).NewUnitPage }))
const EditUnitPage = lazy(async () => ({ default: (await units()).EditUnitPage }))

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      retry: (count, error) => count < 2 && !(error instanceof HttpError && error.status >= 400),
      staleTime: 5_000,
      // A dead network is an answer too: the page says how old it is.
      networkMode: 'always',
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
  const { pathname } = useLocation()
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
      <ErrorBoundary key={pathname}>
        <Suspense fallback={<Waiting what="the page" />}>
          <Routes>
            <Route path="/" element={<Today />} />
            <Route path="/units" element={<UnitList />} />
            <Route path="/units/new" element={<NewUnitPage />} />
            <Route path="/units/:id" element={<UnitSheetPage />} />
            <Route path="/units/:id/grounds" element={<GroundsPage />} />
            <Route path="/units/:id/rounds/:kind" element={<RoundPage />} />
            <Route path="/units/:id/traces" element={<TracesPage />} />
            <Route path="/units/:id/edit" element={<EditUnitPage />} />
            <Route path="/units/:id/jobs/new" element={<NewJobPage />} />
            <Route path="/tag/:id" element={<TagPage />} />
            <Route path="/jobs" element={<JobList />} />
            <Route path="/jobs/:id" element={<JobBenchPage />} />
            <Route path="/jobs/:id/drawing" element={<JobDrawingPage />} />
            <Route path="/shelf" element={<ShelfPage />} />
            <Route path="/parts/:id" element={<PartPage />} />
            <Route path="/batteries/:id" element={<BatteryPage />} />
            <Route path="/circuits" element={<CircuitsPage />} />
            <Route path="/circuits/:id" element={<SheetPage />} />
            <Route path="/drafts/:id" element={<EditorPage />} />
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
        </Suspense>
      </ErrorBoundary>
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
