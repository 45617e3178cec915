// The arrow of a list to choose from, of our own icon set.
import { IconChevronDown } from '@tabler/icons-react'

export function SelectArrow({ className }: { readonly className?: string }) {
  return <IconChevronDown size={16} stroke={1.7} aria-hidden="true" {...(className && { className })} />
}
