import { readdirSync } from 'node:fs'

export interface ApiRoute {
  method: 'get' | 'post' | 'put' | 'delete'
  /** With its parameters: `/api/lawns/:id`. */
  path: string
}

/** The routes that the files of server/api make, as Nitro mounts them. @param folder server/api */
export const apiRoutes = (folder: string): ApiRoute[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .flatMap((file) => {
      const [, name, method] = /^(.+)\.(get|put|post|delete)\.ts$/.exec(file.replaceAll('\\', '/')) ?? []
      return name
        ? [
            {
              method: method as ApiRoute['method'],
              path: `/api/${name}`.replace(/\/index$/, '').replace(/\[(\w+)\]/g, ':$1'),
            },
          ]
        : []
    })
    .sort((a, b) => (a.path < b.path ? -1 : a.path > b.path ? 1 : a.method < b.method ? -1 : 1))
