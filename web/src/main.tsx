import { QueryClientProvider } from '@tanstack/react-query'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router'
import './app.css'
import { queries } from './data'
import { Boundary, Toasts } from './kit'
import { SignedIn } from './SignIn'

// The router fetches a screen's code before it shows it; React's own suspense would hold every first reveal back by 0.3 s.
const screen = (load: () => Promise<{ default: React.ComponentType }>) => ({
  lazy: async () => ({ Component: (await load()).default }),
})

const router = createBrowserRouter([
  {
    HydrateFallback: () => <p className="text-quiet p-6">Unrolling the drawing…</p>,
    children: [
      { path: '/join/:token', ...screen(() => import('./shop/Join')) },
      { path: '/up/:token', ...screen(() => import('./shop/PhoneUpload')) },
      { path: '/c/:token', ...screen(() => import('./client/ClientPage')) },
      {
        element: <SignedIn />,
        children: [
          { path: '/', ...screen(() => import('./rack/Rack')) },
          { path: '/shelf', ...screen(() => import('./shelf/Shelf')) },
          { path: '/shop', ...screen(() => import('./shop/Shop')) },
          { path: '/kit', ...screen(() => import('./kit/gallery/Gallery')) },
          { path: '/commission/:id', element: <Navigate to="brief" replace /> },
          { path: '/commission/:id/:station', ...screen(() => import('./bench/Bench')) },
          { path: '/film/:id/:saber', ...screen(() => import('./film/Film')) },
        ],
      },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
])

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <Boundary what="This page">
        <RouterProvider router={router} />
      </Boundary>
      <Toasts />
    </QueryClientProvider>
  </StrictMode>,
)
