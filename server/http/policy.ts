import type { RequestHandler } from 'express'
import helmet from 'helmet'

/** What pages of this shop may do in a browser: their own files alone. */
export const policy: RequestHandler = helmet({
  contentSecurityPolicy: {
    useDefaults: false,
    directives: {
      defaultSrc: ["'self'"],
      baseUri: ["'self'"],
      formAction: ["'self'"],
      frameAncestors: ["'none'"],
      objectSrc: ["'none'"],
      fontSrc: ["'self'"],
      styleSrc: ["'self'"],
      imgSrc: ["'self'", 'data:', 'blob:'],
      // The solver of the strips is WebAssembly.
      scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
      scriptSrcAttr: ["'none'"],
      workerSrc: ["'self'", 'blob:'],
      manifestSrc: ["'self'"],
      connectSrc: ["'self'"],
    },
  },
  strictTransportSecurity: false,
})

/** The camera takes photos of fitted cushions; nothing else of the machine is asked for. */
export const permissions: RequestHandler = (req, res, next) => {
  res.set('permissions-policy', 'camera=(self), geolocation=(), microphone=(), usb=(), payment=(), midi=()')
  // Whoever came once by TLS comes by TLS from then on.
  if (req.secure) res.set('strict-transport-security', 'max-age=31536000')
  next()
}

/** What the shop says is for who asked, now. */
export const isPrivate: RequestHandler = (_req, res, next) => {
  res.set('cache-control', 'no-store')
  next()
}
