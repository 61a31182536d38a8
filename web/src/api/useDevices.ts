/** The readings of the devices as they stream in; `broken` once the stream has stopped. */
import { useEffect, useState } from 'react'
import { type DeviceReadings } from './client'

const QUIET_MS = 3000

export interface Devices {
  readings: DeviceReadings | null
  broken: boolean
}

export function useDevices(): Devices {
  const [state, setState] = useState<Devices>({ readings: null, broken: false })
  useEffect(() => {
    let quiet = 0
    const source = new EventSource('/api/devices/stream')
    const fail = () => {
      setState({ readings: null, broken: true })
    }
    const wait = () => {
      window.clearTimeout(quiet)
      quiet = window.setTimeout(fail, QUIET_MS)
    }
    source.onmessage = (event: MessageEvent<string>) => {
      wait()
      setState({ readings: JSON.parse(event.data) as DeviceReadings, broken: false })
    }
    source.onerror = fail
    wait()
    return () => {
      window.clearTimeout(quiet)
      source.close()
    }
  }, [])
  return state
}
