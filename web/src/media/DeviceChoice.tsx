// Which camera, which microphone; asked only where there is more than one.
import { useTranslation } from 'react-i18next'
import { SelectField } from '../ui/SelectField.tsx'

interface DeviceChoiceProps {
  readonly what: 'camera' | 'microphone'
  readonly devices: readonly MediaDeviceInfo[]
  readonly chosen: string
  readonly onChoose: (id: string) => void
}

export function DeviceChoice({ what, devices, chosen, onChoose }: DeviceChoiceProps) {
  const { t } = useTranslation('gather')
  if (devices.length < 2) return null
  return (
    <SelectField
      label={t(`devices.${what}`)}
      value={devices.some(({ deviceId }) => deviceId === chosen) ? chosen : (devices[0]?.deviceId ?? '')}
      choices={devices.map(({ deviceId, label }, n) => [
        deviceId,
        label || t('devices.unnamed', { n: n + 1 }),
      ])}
      onChange={onChoose}
      fullWidth
    />
  )
}
