import { useSyncExternalStore } from 'react'
import { THEMES, type Light } from './colours'

/** By day, by night, or as the system has it. */
export type LightChoice = Light | 'system'

const KEPT = 'kippen.light'
const listeners = new Set<() => void>()
const dark = () => window.matchMedia('(prefers-color-scheme: dark)')

export function lightChoice(): LightChoice {
  const kept = localStorage.getItem(KEPT)
  return kept === 'light' || kept === 'dark' ? kept : 'system'
}

const light = (): Light => {
  const choice = lightChoice()
  if (choice !== 'system') return choice
  return dark().matches ? 'dark' : 'light'
}

/** Puts the colours where style sheets find them. */
function show(): void {
  const root = document.documentElement
  for (const [name, colour] of Object.entries(THEMES[light()]))
    root.style.setProperty(`--${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}`, colour)
  root.style.colorScheme = light()
  root.dataset['light'] = light()
  listeners.forEach((listener) => listener())
}

/** Before anything is drawn; and again whenever the system changes its mind. */
export function startLight(): void {
  show()
  dark().addEventListener('change', show)
}

export function chooseLight(choice: LightChoice): void {
  if (choice === 'system') localStorage.removeItem(KEPT)
  else localStorage.setItem(KEPT, choice)
  show()
}

const subscribe = (listener: () => void) => {
  listeners.add(listener)
  return () => listeners.delete(listener)
}

export const useLight = (): Light => useSyncExternalStore(subscribe, light)
export const useLightChoice = (): LightChoice => useSyncExternalStore(subscribe, lightChoice)
