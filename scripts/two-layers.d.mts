export function scanOfTwoLayers(right?: number, down?: number): Promise<Buffer>
