import { setNonce } from 'get-nonce'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { App } from './App'
import { applyTheme } from './theme'
import './sheet.css'

setNonce(document.querySelector<HTMLMetaElement>('meta[name="csp-nonce"]')?.content ?? '')
applyTheme()

const root = document.getElementById('root')
if (!root) throw new Error('The page has no place to draw in')
createRoot(root).render(
  <StrictMode>
    <App />
  </StrictMode>,
)
