// Which rules dates and lists follow: English as the school writes it, with the day first and no comma before "and".

export function localeOf(language: string): string {
  return language === 'en' ? 'en-GB' : language
}
