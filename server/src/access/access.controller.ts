import {
  codeFor,
  idParam,
  networkUpdate,
  newPassphrase,
  pairing,
  proof,
  signIn,
  unencryptedKey,
  type Access,
  type CodeFor,
  type NetworkUpdate,
  type NewPassphrase,
  type Outsider,
  type Pairing,
  type PairingCode,
  type Proof,
  type SignIn,
  type UnencryptedKey,
} from '@bright-keeper/contract';
import { Controller, Delete, Get, HttpCode, Post, Put, Req, Res } from '@nestjs/common';
import { ApiTags } from '@nestjs/swagger';
import type { Request, Response } from 'express';
import { CheckedBody, CheckedParams, Route } from '../http/index.js';
import { AccessService, type LetIn } from './access.service.js';
import { askerOf, isIn } from './asker.js';
import { giveToShow, takeBack } from './cookie.js';

@ApiTags('access')
@Controller('api/access')
export class AccessController {
  constructor(private readonly access: AccessService) {}

  @Get()
  @Route({ summary: 'Whether one is let in, and then who else is and how the network is answered', by: 'anyone' })
  get(@Req() request: Request): Access | Outsider {
    const asker = askerOf(request);
    return isIn(asker) ? this.access.get(asker) : { isIn: false, asksName: this.access.keepers.areSeveral() };
  }

  @Put('passphrase')
  @Route({ summary: 'Choose one’s own passphrase', does: ['changed', 'passphrase'], by: 'oneself', body: newPassphrase })
  setPassphrase(@CheckedBody(newPassphrase) chosen: NewPassphrase, @Req() request: Request): Promise<Access> {
    return this.access.setPassphrase(chosen, askerOf(request));
  }

  @Put('network')
  @Route({
    summary: 'Whether the network is answered, and how long a device that does not come stays let in',
    does: ['changed', 'network'],
    by: 'owner',
    body: networkUpdate,
  })
  setNetwork(@CheckedBody(networkUpdate) update: NetworkUpdate, @Req() request: Request): Promise<Access> {
    return this.access.setNetwork(update, askerOf(request));
  }

  @Post('code')
  @Route({
    summary: 'A code that lets one device of a keeper in, once, within ten minutes',
    does: 'asks',
    by: 'owner',
    body: codeFor,
    answers: 201,
  })
  newCode(@CheckedBody(codeFor) whose: CodeFor, @Req() request: Request): PairingCode {
    return this.access.newCode(whose, askerOf(request));
  }

  @Post('pair')
  @Route({ summary: 'Come in with a code', does: ['added', 'paired-device'], by: 'anyone', isGuess: true, body: pairing, answers: 201 })
  pair(@CheckedBody(pairing) given: Pairing, @Req() request: Request, @Res({ passthrough: true }) response: Response): Pick<LetIn, 'id'> {
    return this.given(this.access.pair(given, askerOf(request)), response);
  }

  @Post('sign-in')
  @Route({
    summary: 'Come in with the passphrase',
    does: ['added', 'paired-device'],
    by: 'anyone',
    isGuess: true,
    body: signIn,
    answers: 201,
  })
  async signIn(
    @CheckedBody(signIn) given: SignIn,
    @Req() request: Request,
    @Res({ passthrough: true }) response: Response,
  ): Promise<Pick<LetIn, 'id'>> {
    return this.given(await this.access.signIn(given, askerOf(request)), response);
  }

  private given({ id, token }: LetIn, response: Response): Pick<LetIn, 'id'> {
    giveToShow(response, token, this.access.sessionDays);
    return { id };
  }

  @Post('proof')
  @HttpCode(200)
  @Route({ summary: 'Give the passphrase once more, for what only an owner may do', does: 'asks', isGuess: true, body: proof })
  prove(@CheckedBody(proof) { passphrase }: Proof, @Req() request: Request): Promise<Access> {
    return this.access.prove(passphrase, askerOf(request));
  }

  @Post('sign-out')
  @HttpCode(204)
  @Route({ summary: 'Let this very device go', does: ['removed', 'paired-device'], by: 'oneself', answers: 204 })
  signOut(@Req() request: Request, @Res({ passthrough: true }) response: Response): void {
    const asker = askerOf(request);
    takeBack(response);
    if (asker.device !== null) this.access.letGo(asker.device, asker, response);
  }

  @Put('unencrypted')
  @Route({ summary: 'Let a key come unencrypted, or no more', does: ['changed', 'unencrypted-key'], by: 'owner', body: unencryptedKey })
  setUnencrypted(@CheckedBody(unencryptedKey) key: UnencryptedKey, @Req() request: Request): Access {
    return this.access.setUnencrypted(key, askerOf(request));
  }

  @Delete('devices/:id')
  @HttpCode(204)
  @Route({ summary: 'Let a device go, at once', does: ['removed', 'paired-device'], by: 'oneself', byId: true, answers: 204 })
  letGo(@CheckedParams(idParam) { id }: { id: string }, @Req() request: Request, @Res({ passthrough: true }) response: Response): void {
    this.access.letGo(id, askerOf(request), response);
  }
}
