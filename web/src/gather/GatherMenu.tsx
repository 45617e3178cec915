// The button that opens all ways in.
import Button from '@mui/material/Button'
import ListItemIcon from '@mui/material/ListItemIcon'
import Menu from '@mui/material/Menu'
import MenuItem from '@mui/material/MenuItem'
import { IconPlus } from '@tabler/icons-react'
import { useState } from 'react'
import { useTranslation } from 'react-i18next'
import type { LandingPlace } from './gathering.ts'
import { useSources } from './useSources.ts'
import { sourceIcons } from './sourceIcons.ts'

interface GatherMenuProps {
  readonly place?: LandingPlace
  /** Beside something else that is the main act. */
  readonly isQuiet?: boolean
}

export function GatherMenu({ place, isQuiet = false }: GatherMenuProps) {
  const { t } = useTranslation('things')
  const { sources, go } = useSources(place)
  const [anchor, setAnchor] = useState<HTMLElement | null>(null)
  const close = () => setAnchor(null)
  return (
    <>
      <Button
        {...(!isQuiet && { variant: 'contained', color: 'primary' })}
        startIcon={<IconPlus size={18} stroke={1.7} />}
        aria-haspopup="menu"
        aria-expanded={anchor !== null}
        sx={{ flex: 'none' }}
        onClick={(event) => setAnchor(event.currentTarget)}
      >
        {t('add.button')}
      </Button>
      <Menu
        open={anchor !== null}
        anchorEl={anchor}
        onClose={close}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'right' }}
        transformOrigin={{ vertical: 'top', horizontal: 'right' }}
      >
        {sources.map((source) => {
          const Icon = sourceIcons[source]
          return (
            <MenuItem
              key={source}
              onClick={() => {
                close()
                go(source)
              }}
            >
              <ListItemIcon>
                <Icon size={18} stroke={1.7} />
              </ListItemIcon>
              {t(`sources.${source}`)}
            </MenuItem>
          )
        })}
      </Menu>
    </>
  )
}
