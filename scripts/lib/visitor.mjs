// Somebody with a browser of his own: he keeps his cookies and the token for changes, and notes what no server should do.
const HANGS_MS = 60_000

/** `note` hears of an answer that is a fault of the server, and of one that does not come. */
export function visitor(url, note = () => {}) {
  let cookies = {}
  let csrf = ''
  const headers = () => ({
    'x-csrf-token': csrf,
    cookie: Object.entries(cookies)
      .map(([k, v]) => `${k}=${v}`)
      .join('; '),
  })
  const ask = async (method, path, body, more = {}) => {
    const form = body instanceof FormData
    const raw = typeof body === 'string'
    const began = Date.now()
    try {
      const res = await fetch(`${url}/api${path}`, {
        method,
        headers: {
          ...headers(),
          ...(body !== undefined && !form ? { 'content-type': 'application/json' } : {}),
          ...more,
        },
        ...(body === undefined ? {} : { body: form || raw ? body : JSON.stringify(body) }),
        signal: AbortSignal.timeout(HANGS_MS),
      })
      const text = await res.text()
      for (const c of res.headers.getSetCookie()) {
        const [, name, value] = /^([^=]+)=([^;]*)/.exec(c)
        cookies[name] = value
      }
      if (res.status >= 500 && res.status !== 503 && res.status !== 507)
        note(`${res.status} to ${method} ${path}: ${text.slice(0, 160)}`)
      return { status: res.status, text, json: () => JSON.parse(text) }
    } catch (e) {
      if (e.name === 'TimeoutError') note(`no answer within ${(Date.now() - began) / 1000} s: ${method} ${path}`)
      return { status: 0, text: e.message, json: () => ({}) }
    }
  }
  const use = (r) => {
    if (r.status === 200) csrf = r.json().csrf
    return r.status
  }
  return {
    ask,
    headers,
    use,
    upload(path, bytes, name) {
      const form = new FormData()
      form.append('file', new Blob([bytes]), name)
      return ask('POST', path, form)
    },
    async signIn(signIn = 'maren', password = 'brass-and-light') {
      cookies = {}
      return use(await ask('POST', '/session', { signIn, password }))
    },
    /** Changes a commission as it stands. */
    async change(id, ops) {
      const { revision } = (await ask('GET', `/commissions/${id}`)).json()
      return ask('PATCH', `/commissions/${id}`, { base: revision, ops })
    },
  }
}
