declare module '#api-routes' {
  export const ROUTES: readonly { method: 'get' | 'post' | 'put' | 'delete'; path: string }[]
}
