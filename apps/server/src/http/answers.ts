import { applyDecorators } from '@nestjs/common';
import { ApiResponse } from '@nestjs/swagger';
import type { WireClass } from '@zakat/contract/field';

/** Says what a route answers with, for the OpenAPI document. */
export const Answers = (type: WireClass, shape: 'one' | 'list' = 'one', status = 200): MethodDecorator =>
  applyDecorators(ApiResponse({ status, type, isArray: shape === 'list' }));
