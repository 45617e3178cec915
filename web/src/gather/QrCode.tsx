// A QR code (ISO/IEC 18004) as one path of squares.
import { create } from 'qrcode'

export function QrCode({ text, label }: { readonly text: string; readonly label: string }) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' })
  const { size, data } = modules
  const path = Array.from(data, (isDark, n) =>
    isDark ? `M${n % size} ${Math.floor(n / size)}h1v1h-1z` : '',
  ).join('')
  return (
    <svg role="img" aria-label={label} viewBox={`0 0 ${size} ${size}`} shapeRendering="crispEdges">
      <path d={path} fill="#17384a" />
    </svg>
  )
}
