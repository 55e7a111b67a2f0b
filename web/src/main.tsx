import { lazy, StrictMode, Suspense } from 'react'
import { createRoot } from 'react-dom/client'
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router'
import './app.css'
import { SignedIn } from './SignIn'

const Rack = lazy(() => import('./rack/Rack'))
const Bench = lazy(() => import('./stations/Bench'))
const Film = lazy(() => import('./film/Film'))
const ClientPage = lazy(() => import('./client/ClientPage'))

const router = createBrowserRouter([
  { path: '/c/:token', element: <ClientPage /> },
  {
    element: <SignedIn />,
    children: [
      { path: '/', element: <Rack /> },
      { path: '/commission/:id', element: <Navigate to="brief" replace /> },
      { path: '/commission/:id/:station', element: <Bench /> },
      { path: '/film/:id/:saber', element: <Film /> },
    ],
  },
  { path: '*', element: <Navigate to="/" replace /> },
])

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Suspense fallback={<p className="text-quiet p-6">Unrolling the drawing…</p>}>
      <RouterProvider router={router} />
    </Suspense>
  </StrictMode>,
)
