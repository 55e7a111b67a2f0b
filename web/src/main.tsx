import { QueryClientProvider } from '@tanstack/react-query'
import { type ComponentType, StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { BrowserRouter, Navigate, Route, Routes } from 'react-router'
import './app.css'
import { lazyView } from './base/lazy'
import { askClientPage, queries, whichRecord } from './data'
import { SignedIn } from './door/SignIn'
import { Boundary, Toasts } from './kit'

const unrolling = <p className="text-quiet p-6">Unrolling the drawing…</p>
/** A screen whose code comes when it is first shown. */
const screen = (load: () => Promise<{ default: ComponentType }>) => {
  const Screen = lazyView(async () => (await load()).default, { waiting: unrolling })
  return <Screen />
}

const screens = (
  <Routes>
    <Route path="/join/:token" element={screen(() => import('./shop/Join'))} />
    <Route path="/up/:token" element={screen(() => import('./shop/PhoneUpload'))} />
    <Route path="/c/:token" element={screen(() => import('./client/ClientPage'))} />
    <Route element={<SignedIn />}>
      <Route path="/" element={screen(() => import('./rack/Rack'))} />
      <Route path="/shelf" element={screen(() => import('./shelf/Shelf'))} />
      <Route path="/learning" element={screen(() => import('./learning/Learning'))} />
      <Route path="/clients/:id" element={screen(() => import('./learning/ClientCard'))} />
      <Route path="/orders" element={screen(() => import('./orders/Orders'))} />
      <Route path="/week" element={screen(() => import('./week/Week'))} />
      <Route path="/to-dos" element={screen(() => import('./rack/ShopToDos'))} />
      <Route path="/shop" element={screen(() => import('./shop/Shop'))} />
      <Route path="/kit" element={screen(() => import('./kit/gallery/Gallery'))} />
      <Route path="/commission/:id" element={<Navigate to="brief" replace />} />
      <Route path="/commission/:id/:station" element={screen(() => import('./bench/Bench'))} />
      <Route path="/film/:id/:saber" element={screen(() => import('./film/Film'))} />
    </Route>
    <Route path="*" element={<Navigate to="/" replace />} />
  </Routes>
)

// A client's record is asked for while the page is still being read.
const token = /^\/c\/([^/]+)/.exec(location.pathname)?.[1]
if (token) askClientPage(token, whichRecord(new URLSearchParams(location.search)))

createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <QueryClientProvider client={queries}>
      <Boundary what="This page">
        <BrowserRouter>{screens}</BrowserRouter>
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
