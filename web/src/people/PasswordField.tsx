// A password field whose content can be looked at.
import { IconEye, IconEyeClosed } from '@tabler/icons-react'
import IconButton from '@mui/material/IconButton'
import InputAdornment from '@mui/material/InputAdornment'
import TextField from '@mui/material/TextField'
import { useState } from 'react'
import type { ComponentProps } from 'react'
import { useTranslation } from 'react-i18next'

type PasswordFieldProps = Omit<ComponentProps<typeof TextField>, 'type' | 'slotProps'> & {
  readonly autoComplete: 'current-password' | 'new-password'
}

export function PasswordField(props: PasswordFieldProps) {
  const { t } = useTranslation('people')
  const [isShown, setIsShown] = useState(false)
  const ShownIcon = isShown ? IconEyeClosed : IconEye
  return (
    <TextField
      fullWidth
      size="small"
      {...props}
      type={isShown ? 'text' : 'password'}
      slotProps={{
        htmlInput: { maxLength: 1000, spellCheck: false },
        input: {
          endAdornment: (
            <InputAdornment position="end">
              <IconButton
                size="small"
                edge="end"
                aria-label={isShown ? t('signIn.hide') : t('signIn.show')}
                onClick={() => setIsShown(!isShown)}
              >
                <ShownIcon size={18} stroke={1.7} aria-hidden="true" />
              </IconButton>
            </InputAdornment>
          ),
        },
      }}
    />
  )
}
