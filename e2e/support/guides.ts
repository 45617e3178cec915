// Writing a guide, as several journeys do.
import type { Page } from '@playwright/test'
import { saved, writeDay } from './acts.ts'

/** Begins a guide with a title and one stage. */
export async function beginGuide(odalys: Page, title: string, stage: string): Promise<void> {
  await odalys.goto('/guides')
  await odalys.getByRole('button', { name: 'New guide' }).click()
  await odalys.getByRole('textbox', { name: 'Title' }).fill(title)
  await addStage(odalys, stage)
}

export async function addStage(odalys: Page, name: string): Promise<void> {
  await odalys.getByRole('button', { name: 'Add a stage' }).click()
  await odalys.getByRole('textbox', { name: 'Name of the stage' }).fill(name)
  await odalys.getByRole('combobox', { name: 'When does it open?' }).click()
  await odalys.getByRole('option', { name: 'When the stage before is done' }).click()
}

export async function ask(odalys: Page, kind: RegExp, words: string, isRequired = true): Promise<void> {
  await odalys.getByRole('button', { name: kind }).click()
  await odalys.getByRole('textbox', { name: 'Question', exact: true }).fill(words)
  if (!isRequired) return
  await odalys.getByRole('combobox', { name: 'Is it required?' }).click()
  await odalys.getByRole('option', { name: 'Required' }).click()
}

export async function publishFor(odalys: Page, className: string): Promise<void> {
  await odalys.getByRole('button', { name: 'Publish', exact: true }).click()
  await odalys.getByRole('checkbox', { name: className }).check()
  await saved(odalys)
}

/** Has a guide handed in by itself at a time, typed as people do: 271120261200. */
export async function handInWhenDue(odalys: Page, digits: string): Promise<void> {
  await odalys.getByRole('radio', { name: /It is handed in when due/ }).check()
  await setDue(odalys, digits)
}

export function setDue(odalys: Page, digits: string): Promise<void> {
  return writeDay(odalys, 'Due, handed in automatically', digits)
}
