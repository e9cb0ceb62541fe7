/** A formula that is drawn where it stands; what was typed stays for who cannot see it drawn. */
class Formula extends HTMLElement {
  private isDrawn = false

  connectedCallback(): void {
    if (this.isDrawn) return
    this.isDrawn = true
    void this.draw(this.textContent)
  }

  private async draw(tex: string): Promise<void> {
    // large, and most pages have no formula
    const { default: katex } = await import('katex')
    const displayMode = this.classList.contains('alone')
    const options = { output: 'mathml', throwOnError: false, strict: 'ignore', displayMode } as const
    const mathMl = katex.renderToString(tex, options)
    const parsed = new DOMParser().parseFromString(mathMl, 'text/html')
    this.replaceChildren(...parsed.body.childNodes)
  }
}

/** Makes formulas known to the page. */
export function defineFormula(): void {
  if (!customElements.get('step-formula')) customElements.define('step-formula', Formula)
}
