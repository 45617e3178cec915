// The device's camera and microphone: which there are, the stream of the chosen ones, and why there is none.
import { useEffect, useState } from 'react'

/** Why there is no picture or sound: permission refused, no device, device in use, or not supported. */
export type MediaTrouble = 'refused' | 'none' | 'busy' | 'unsupported'

interface Devices {
  readonly cameras: readonly MediaDeviceInfo[]
  readonly microphones: readonly MediaDeviceInfo[]
}

export interface Media {
  readonly stream: MediaStream | null
  readonly trouble: MediaTrouble | null
  readonly devices: Devices
  readonly cameraId: string
  readonly microphoneId: string
  /** Whether the camera looks at whoever holds it, so that people expect to see themselves as in a mirror. */
  readonly isMirrored: boolean
  chooseCamera(id: string): void
  chooseMicrophone(id: string): void
  /** Asks once more, after permission was given. */
  askAgain(): void
}

interface Wanted {
  readonly camera: boolean
  readonly microphone: boolean
}

const noDevices: Devices = { cameras: [], microphones: [] }

export function useMedia({ camera, microphone }: Wanted): Media {
  const [stream, setStream] = useState<MediaStream | null>(null)
  const [trouble, setTrouble] = useState<MediaTrouble | null>(null)
  const [devices, setDevices] = useState<Devices>(noDevices)
  const [cameraId, chooseCamera] = useState('')
  const [microphoneId, chooseMicrophone] = useState('')
  const [asked, setAsked] = useState(0)

  useEffect(() => {
    let isGone = false
    let opened: MediaStream | null = null
    const open = async () => {
      if (!('mediaDevices' in navigator)) return setTrouble('unsupported')
      try {
        opened = await navigator.mediaDevices.getUserMedia({
          video: camera && wishFor(cameraId, { facingMode: 'environment', width: { ideal: 1920 } }),
          audio: microphone && wishFor(microphoneId, {}),
        })
        if (isGone) return stopAll(opened)
        setStream(opened)
        setTrouble(null)
        setDevices(await listDevices())
      } catch (error) {
        if (!isGone) setTrouble(troubleOf(error))
      }
    }
    void open()
    return () => {
      isGone = true
      if (opened) stopAll(opened)
      setStream(null)
    }
  }, [camera, microphone, cameraId, microphoneId, asked])

  const track = stream?.getVideoTracks()[0]
  const settings = track?.getSettings()
  return {
    stream,
    trouble,
    devices,
    cameraId: cameraId || (settings?.deviceId ?? ''),
    microphoneId: microphoneId || (stream?.getAudioTracks()[0]?.getSettings().deviceId ?? ''),
    // Cameras of laptops do not say where they look, and look at whoever sits there.
    isMirrored: track !== undefined && settings?.facingMode !== 'environment',
    chooseCamera,
    chooseMicrophone,
    askAgain: () => setAsked(asked + 1),
  }
}

function wishFor(deviceId: string, usual: MediaTrackConstraints): MediaTrackConstraints {
  return deviceId === '' ? usual : { ...usual, deviceId: { exact: deviceId } }
}

async function listDevices(): Promise<Devices> {
  const all = await navigator.mediaDevices.enumerateDevices()
  return {
    cameras: all.filter(({ kind }) => kind === 'videoinput'),
    microphones: all.filter(({ kind }) => kind === 'audioinput'),
  }
}

function stopAll(stream: MediaStream): void {
  for (const track of stream.getTracks()) track.stop()
}

function troubleOf(error: unknown): MediaTrouble {
  const name = error instanceof Error ? error.name : ''
  if (name === 'NotAllowedError' || name === 'SecurityError') return 'refused'
  if (name === 'NotReadableError' || name === 'AbortError') return 'busy'
  return 'none'
}
