let audio: AudioContext | null = null

/** Must follow a press, so that the browser lets it sound later. */
export function allowAlarm() {
  try {
    audio ??= new AudioContext()
    void audio.resume()
  } catch {
    audio = null
  }
  if (typeof Notification !== 'undefined' && Notification.permission === 'default')
    void Notification.requestPermission().catch(() => undefined)
}

/** Three short tones, and a message where the maker allowed them. */
export function sound(title: string) {
  try {
    audio ??= new AudioContext()
    for (const i of [0, 1, 2]) {
      const tone = audio.createOscillator()
      const volume = audio.createGain()
      tone.frequency.value = 880
      volume.gain.value = 0.2
      tone.connect(volume).connect(audio.destination)
      tone.start(audio.currentTime + i * 0.4)
      tone.stop(audio.currentTime + i * 0.4 + 0.2)
    }
  } catch {
    // A silent timer still shows itself.
  }
  try {
    if (typeof Notification !== 'undefined' && Notification.permission === 'granted' && document.hidden)
      new Notification('Omblet', { body: title, tag: title })
  } catch {
    // Some browsers only take messages from a service worker.
  }
}
