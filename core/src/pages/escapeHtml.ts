// Text made safe for HTML, between tags and in attributes with double quotes.
const signs: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
}

export function escapeHtml(text: string): string {
  return text.replace(/[&<>"']/g, (sign) => signs[sign] ?? sign)
}
