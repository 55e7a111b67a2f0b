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

// A page that was open can be opened again while the server is away.
if ('serviceWorker' in navigator && import.meta.env.PROD)
  void navigator.serviceWorker.register('/sw.js').then(async () => {
    const { active } = await navigator.serviceWorker.ready
    const tell = () =>
      active?.postMessage({ urls: performance.getEntriesByType('resource').map((r) => r.name.split('?')[0]) })
    tell()
    // Scripts of screens opened since then come through it by themselves; those of this first screen may still be loading.
    setTimeout(tell, 3000)
  })
