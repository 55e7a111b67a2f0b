// What the types say of a fault: `npm test` looks at them first, and so does whoever counts what it notices.
import { join } from 'node:path'
import { API } from 'typescript/unstable/sync'

/** Gives what says whether the types refuse a file of the tree under `root` as it would be with another text. */
export function typesOf(root) {
  const config = join(root, 'tsconfig.json')
  let other = new Map()
  const api = new API({ cwd: root, fs: { readFile: (name) => other.get(name) } })
  api.updateSnapshot({ openProjects: [config] })
  const refused = (file) => {
    const { program } = api.updateSnapshot({ fileChanges: { changed: [file] } }).getProject(config)
    return program.getSyntacticDiagnostics(file).length + program.getSemanticDiagnostics(file).length > 0
  }
  return {
    refuse(name, text) {
      const file = join(root, name)
      other = new Map([[file, text]])
      const came = refused(file)
      other = new Map()
      api.updateSnapshot({ fileChanges: { changed: [file] } })
      return came
    },
    close: () => api.close(),
  }
}
