import type { INestApplication } from '@nestjs/common';
import { ApiProperty, DocumentBuilder, SwaggerModule, type OpenAPIObject } from '@nestjs/swagger';
import { wireClasses, type FieldSchema } from '@zakat/contract/field';

function property(schema: FieldSchema): Parameters<typeof ApiProperty>[0] {
  const shared = { required: schema.isOptional !== true, nullable: schema.nullable === true };
  if (schema.of)
    return { ...shared, type: schema.of(), isArray: schema.type === 'array' } as Parameters<typeof ApiProperty>[0];
  if (schema.isMap)
    return { ...shared, type: 'object', additionalProperties: true } as unknown as Parameters<typeof ApiProperty>[0];
  if (schema.type === 'array') return { ...shared, type: 'array', items: { type: schema.items ?? 'string' } };
  return {
    ...shared,
    type: schema.type,
    ...(schema.enum ? { enum: [...schema.enum] } : {}),
    ...(schema.format ? { format: schema.format } : {}),
    ...(schema.maxLength ? { maxLength: schema.maxLength } : {}),
  } as Parameters<typeof ApiProperty>[0];
}

/** The OpenAPI document of the running application, its schemas taken from the contract classes. */
export function openApiDocument(app: INestApplication): OpenAPIObject {
  for (const [owner, fields] of wireClasses()) {
    for (const [name, schema] of fields) ApiProperty(property(schema))(owner.prototype as object, name);
  }
  const options = new DocumentBuilder()
    .setTitle('Zakat')
    .setDescription('Amounts are whole cents; days are YYYY-MM-DD.')
    .setVersion('1')
    .addCookieAuth('zakat_session')
    .build();
  return SwaggerModule.createDocument(app, options);
}
