import { parse, serialize } from 'cookie'
import type { Request, Response } from 'express'
import { SESSION_MS } from './sessions.ts'

const NAME = 'loft_seam'

export const parseCookie = (req: Request): string | undefined => parse(req.headers.cookie ?? '')[NAME]

/** Out of reach of scripts and other sites; over TLS alone where there is TLS. */
export const setCookie = (req: Request, res: Response, token: string | null): void =>
  void res.append(
    'set-cookie',
    serialize(NAME, token ?? '', {
      httpOnly: true,
      sameSite: 'strict',
      path: '/',
      secure: req.secure,
      maxAge: token === null ? 0 : SESSION_MS / 1000,
    }),
  )
