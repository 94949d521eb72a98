import { containers as texts } from '#words/stores'
import type { Container } from '@omblet/core'
import { defineStore } from 'pinia'
import { shallowRef } from 'vue'
import { announce, listen } from '../storage/channel'
import {
  changeContainer,
  deleteContainer,
  getContainer,
  listContainers,
  saveContainer,
} from '../storage/shelf'
import { explainStorage } from '../storage/db'
import { Gone } from '../storage/shelf'
import { useBin } from './bin'

/** What one fills into, as it stands on the shelf. */
export const useContainers = defineStore('containers', () => {
  const containers = shallowRef<Container[]>([])
  const problem = shallowRef<string | null>(null)
  const byName = (list: Container[]) => [...list].sort((x, y) => x.name.localeCompare(y.name))

  async function load() {
    containers.value = byName(await listContainers().catch(() => containers.value))
  }
  async function reread(id: string) {
    const here = await getContainer(id).catch(() => null)
    if (here === null) return
    containers.value = byName([...containers.value.filter((c) => c.id !== id), ...(here ? [here] : [])])
  }
  async function keep<T>(id: string, work: () => Promise<T>): Promise<T | null> {
    let result: T | null = null
    try {
      result = await work()
      problem.value = null
      announce({ type: 'container', id })
    } catch (error) {
      problem.value = error instanceof Gone ? texts.thisContainerWasDeletedIn : explainStorage(error)
    }
    await reread(id)
    return result
  }
  const now = () => new Date().toISOString()
  const put = (container: Container) => keep(container.id, () => saveContainer(container, now()))
  /** Saves what was changed of a container since it was read as `was`; null where it could not be stored. */
  const change = (was: Container, next: Container) => keep(was.id, () => changeContainer(was, next, now()))
  /** Moves one to the bin; gives back how to undo it. */
  async function remove(container: Container): Promise<(() => Promise<void>) | null> {
    const bin = await useBin().deleting(container.name, (forGood) =>
      deleteContainer(container, now(), forGood),
    )
    await reread(container.id)
    announce({ type: 'container', id: container.id })
    return useBin().undoOf([bin])
  }
  const find = (id: string | undefined) => containers.value.find((c) => c.id === id) ?? null

  listen((message) => {
    if (message.type === 'container') return reread(message.id)
    if (message.type === 'all') return load()
  })
  return { containers, problem, load, reread, put, change, remove, find }
})
