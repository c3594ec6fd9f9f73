import { defineStore } from 'pinia'
import type { NewStock, NewStockMove, StockItem } from '#contract/stock'
import { problemOf, type Problem } from '~/utils/api'

/** The stock book as last heard from the server; every write answers with the whole of it. */
export const useStockStore = defineStore('stock', () => {
  const context = useContextStore()
  const items = ref<StockItem[]>()
  const problem = ref<Problem>()

  async function load(): Promise<void> {
    try {
      items.value = await $fetch<StockItem[]>('/api/stock')
      problem.value = undefined
    } catch (error) {
      problem.value = problemOf(error)
    }
  }
  /** Plans read what the shed holds with who is at work. */
  async function write(path: string, method: 'POST' | 'PUT', body: object): Promise<void> {
    items.value = await $fetch<StockItem[]>(path, { method, body })
    await context.load()
  }
  const add = (item: NewStock) => write('/api/stock', 'POST', item)
  const move = (id: string, told: NewStockMove) => write(`/api/stock/${id}/moves`, 'POST', told)
  async function edit({ id, version, name, putAway }: StockItem): Promise<void> {
    try {
      await write(`/api/stock/${id}`, 'PUT', { version, name, putAway })
    } catch (error) {
      const told = problemOf(error)
      if (told.code !== 'changed') throw error
      // The line is drawn anew as somebody else left it; what happened is said above the book.
      await load()
      problem.value = told
    }
  }
  return { items, problem, load, add, move, edit }
})
