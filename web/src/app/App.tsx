import { QueryClient, QueryClientProvider, useQuery, useQueryClient } from '@tanstack/react-query'
import { lazy, Suspense, useEffect, useState } from 'react'
import { BrowserRouter, Route, Routes, useLocation } from 'react-router'
import { Today } from '../features/today'
import { HttpError, onSignedOut } from '../shared/api/http'
import type { Person } from '../shared/api/types'
import { session } from '../shared/session/session'
import { ErrorBoundary } from '../shared/page/ErrorBoundary'
import { Button } from '../shared/ui/Button'
import { fetchSheets, Sheet } from '../shared/ui/Sheet'
import { Waiting } from '../shared/ui/Waiting'
import { Frame } from './Frame'
import { Opened } from './Opened'
import { NoSuchPage } from './NoSuchPage'
import { page } from './page'

const signIn = () => import('../features/sign-in')
const SignIn = lazy(async () => ({ default: (await signIn()).SignIn }))
const SignInPage = lazy(async () => ({ default: (await signIn()).SignInPage }))
const batteries = () => import('../features/batteries')
const bench = () => import('../features/job-bench')
const circuits = () => import('../features/circuits')
const jobs = () => import('../features/jobs')
const units = () => import('../features/units')
const CircuitsPage = page(circuits, 'CircuitsPage')
const SheetPage = page(circuits, 'SheetPage')
const EditorPage = page(() => import('../features/sheet-editor'), 'EditorPage')
const GroundsPage = page(() => import('../features/grounds'), 'GroundsPage')
const RoundPage = page(() => import('../features/rounds'), 'RoundPage')
const TracesPage = page(() => import('../features/traces'), 'TracesPage')
const PartPage = page(() => import('../features/parts'), 'PartPage')
const engine = () => import('../features/engine')
const EnginePage = page(engine, 'EnginePage')
const CapLabelsPage = page(engine, 'CapLabelsPage')
const TonightPage = page(() => import('../features/tonight'), 'TonightPage')
const TagPage = page(() => import('../features/tag'), 'TagPage')
const HouseRulesPage = page(() => import('../features/house-rules'), 'HouseRulesPage')
const JobBenchPage = page(bench, 'JobBenchPage')
const JobDrawingPage = page(bench, 'JobDrawingPage')
const JobList = page(jobs, 'JobList')
const NewJobPage = page(jobs, 'NewJobPage')
const ShelfPage = page(batteries, 'ShelfPage')
const BatteryPage = page(batteries, 'BatteryPage')
const SumsPage = page(() => import('../features/sums'), 'SumsPage')
const UnitSheetPage = page(() => import('../features/unit-sheet'), 'UnitSheetPage')
const UnitList = page(units, 'UnitList')
const NewUnitPage = page(units, 'NewUnitPage')
const EditUnitPage = page(units, 'EditUnitPage')

const queries = new QueryClient({
  defaultOptions: {
    queries: {
      // An answer stands; that there is none just now, or that the way there was cut, does not.
      retry: (count, error) => count < 2 && !(error instanceof HttpError && error.status >= 400 && error.status < 502),
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
  // Fetched while there is a server to fetch it from: it is wanted when there may be none.
  useEffect(() => {
    signIn().catch(() => undefined)
    void fetchSheets()
  }, [])
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
      <ErrorBoundary>
        <Suspense fallback={<Waiting what="the page" />}>
          <SignIn
            onDone={(now) => {
              // Somebody else at this device: nothing of what the one before typed or saw stays on the page.
              if (now.id !== person.id) window.location.assign('/')
              setOpen(false)
              void client.invalidateQueries()
            }}
          />
        </Suspense>
      </ErrorBoundary>
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
      return (
        <Suspense fallback={<Waiting what="the page" />}>
          <SignInPage onDone={() => void client.invalidateQueries()} />
        </Suspense>
      )
    }
    return (
      <main className="p-8">
        <p className="pb-4">{error.message}</p>
        <Button onClick={() => void refetch()}>Try again</Button>
      </main>
    )
  }
  return (
    <Opened person={person.id}>
      <Frame person={person}>
        <ErrorBoundary key={pathname}>
          <Suspense fallback={<Waiting what="the page" />}>
            <Routes>
              <Route path="/" element={<Today />} />
              <Route path="/tonight" element={<TonightPage />} />
              <Route path="/units" element={<UnitList />} />
              <Route path="/units/new" element={<NewUnitPage />} />
              <Route path="/units/:id" element={<UnitSheetPage />} />
              <Route path="/units/:id/grounds" element={<GroundsPage />} />
              <Route path="/units/:id/rounds/:kind" element={<RoundPage />} />
              <Route path="/units/:id/traces" element={<TracesPage />} />
              <Route path="/units/:id/engine" element={<EnginePage />} />
              <Route path="/units/:id/engine/cap-labels" element={<CapLabelsPage />} />
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
              <Route path="*" element={<NoSuchPage />} />
            </Routes>
          </Suspense>
        </ErrorBoundary>
        <SignInAgain person={person} />
      </Frame>
    </Opened>
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
