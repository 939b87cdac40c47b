<?php

declare(strict_types=1);

namespace AwakeShed\App\Evidence;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\DependencyInjection\Attribute\AutowireServiceClosure;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Controller\ValueResolverInterface;
use Symfony\Component\HttpKernel\ControllerMetadata\ArgumentMetadata;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Fetches the entry of an address. */
#[AutoconfigureTag('controller.argument_value_resolver', ['priority' => 150])]
final readonly class EntryResolver implements ValueResolverInterface
{
    /** @param \Closure(): RecordReader $entries made only for an address with an entry: every request asks its resolvers */
    public function __construct(
        #[AutowireServiceClosure(RecordReader::class)]
        private \Closure $entries,
    ) {
    }

    /** @return iterable<Entry> */
    public function resolve(Request $request, ArgumentMetadata $argument): iterable
    {
        $number = $request->attributes->get('entry');
        if (Entry::class !== $argument->getType() || !is_numeric($number)) {
            return [];
        }

        return [($this->entries)()->find((int) $number) ?? throw new NotFoundHttpException('There is no such entry.')];
    }
}
