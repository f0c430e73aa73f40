import { usePreferences } from './preferences.store'

let context: AudioContext | null = null

/** Browsers allow sound only after a first touch; this keeps the door open from then on. */
export function openVoice(): void {
  context ??= new AudioContext()
  if (context.state === 'suspended') void context.resume()
}

/** One short tone. */
function tone(frequency: number, startsIn: number, lasts: number, loudness: number): void {
  if (!context || context.state !== 'running') return
  const [oscillator, gain] = [context.createOscillator(), context.createGain()]
  const start = context.currentTime + startsIn
  oscillator.frequency.value = frequency
  gain.gain.setValueAtTime(0, start)
  gain.gain.linearRampToValueAtTime(loudness, start + 0.01)
  gain.gain.exponentialRampToValueAtTime(0.0001, start + lasts)
  oscillator.connect(gain).connect(context.destination)
  oscillator.start(start)
  oscillator.stop(start + lasts)
}

/** The tick that a counted drop makes. */
export function tick(): void {
  if (usePreferences().chosen.sound) tone(1320, 0, 0.06, 0.15)
}

/** Three rising tones: a clock has run out. Each time that nothing was done about it they are louder. */
export function chime(times = 1): void {
  if (usePreferences().chosen.sound)
    [660, 880, 1100].forEach((frequency, i) =>
      tone(frequency, i * 0.28, 0.5, Math.min(0.9, 0.2 + 0.1 * times)),
    )
}

/** Says a few words, if the user wants to be spoken to. The newest word replaces what is still being said. */
export function speak(words: string): void {
  if (!usePreferences().chosen.speech || !('speechSynthesis' in window)) return
  speechSynthesis.cancel()
  speechSynthesis.speak(new SpeechSynthesisUtterance(words))
}
