// An empty place: what will stand here, and the first thing to do about it.
import Typography from '@mui/material/Typography'
import type { ReactNode } from 'react'
import { StitchedBox } from './StitchedBox.tsx'

export function Empty({ children, action }: { children: ReactNode; action?: ReactNode }) {
  return (
    <StitchedBox>
      <Typography sx={{ maxWidth: '60ch', mb: action ? 4 : 0 }}>{children}</Typography>
      {action}
    </StitchedBox>
  )
}
