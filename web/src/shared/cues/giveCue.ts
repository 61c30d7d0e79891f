import type { CueEvent, CueWay, Where } from '../api'

type Quiet = Where['cues']['quiet']

/** Short tones, each told from the others by its course: [Hz, from s, for s]. Invented. */
const TONES: Record<CueEvent, [number, number, number][]> = {
  long_press: [[660, 0, 0.09]],
  mode_begins: [
    [520, 0, 0.09],
    [780, 0.11, 0.12],
  ],
  mode_ends: [
    [780, 0, 0.09],
    [520, 0.11, 0.12],
  ],
  key_on: [
    [600, 0, 0.05],
    [600, 0.08, 0.12],
  ],
  key_off: [
    [600, 0, 0.12],
    [600, 0.16, 0.05],
  ],
  done: [[880, 0, 0.06]],
  ignored: [[220, 0, 0.08]],
}

/** For a hand: ms on, off, on. */
const SHAKES: Record<CueEvent, number[]> = {
  long_press: [40],
  mode_begins: [40, 60, 90],
  mode_ends: [90, 60, 40],
  key_on: [25, 40, 70],
  key_off: [70, 40, 25],
  done: [25],
  ignored: [15, 40, 15],
}

const VOLUME = 0.2

/** Is it a time of day at which nothing shall be heard? The hours may go over midnight. */
export function isQuiet(quiet: Quiet, now: Date): boolean {
  if (!quiet) return false
  const time = `${String(now.getHours()).padStart(2, '0')}:${String(now.getMinutes()).padStart(2, '0')}`
  return quiet.from <= quiet.to
    ? time >= quiet.from && time < quiet.to
    : time >= quiet.from || time < quiet.to
}

let sounding: AudioContext | undefined

function sound(event: CueEvent) {
  sounding ??= new AudioContext()
  void sounding.resume()
  for (const [hertz, from, length] of TONES[event]) {
    const tone = sounding.createOscillator()
    const level = sounding.createGain()
    tone.frequency.value = hertz
    level.gain.value = VOLUME
    tone.connect(level).connect(sounding.destination)
    const at = sounding.currentTime + from
    level.gain.setTargetAtTime(0, at + length, 0.015)
    tone.start(at)
    tone.stop(at + length + 0.1)
  }
}

/** What can be listened to of the cues that are to be seen: the words, large. */
type Watcher = (words: string) => void
const watchers = new Set<Watcher>()
export function watchCues(watcher: Watcher) {
  watchers.add(watcher)
  return () => void watchers.delete(watcher)
}

/** Gives a cue in each of its ways, as far as this browser can. Returns those that were given. */
export function giveCue(event: CueEvent, ways: CueWay[], words: string, quiet: Quiet, now = new Date()) {
  return ways.filter((way) => {
    if (way === 'hear') {
      if (isQuiet(quiet, now) || typeof AudioContext === 'undefined') return false
      sound(event)
    }
    if (way === 'see') watchers.forEach((watcher) => watcher(words))
    // Where nothing can shake, nothing is said to have shaken.
    return way === 'feel' ? 'vibrate' in navigator && navigator.vibrate(SHAKES[event]) : true
  })
}
