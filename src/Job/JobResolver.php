<?php

declare(strict_types=1);

namespace AwakeShed\App\Job;

use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Controller\ValueResolverInterface;
use Symfony\Component\HttpKernel\ControllerMetadata\ArgumentMetadata;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;

/** Fetches the job of an address, with its machine and that one’s page of the spec book, in one query. */
#[AutoconfigureTag('controller.argument_value_resolver', ['priority' => 150])]
final readonly class JobResolver implements ValueResolverInterface
{
    public function __construct(private JobRepository $jobs)
    {
    }

    /** @return iterable<Job> */
    public function resolve(Request $request, ArgumentMetadata $argument): iterable
    {
        $number = $request->attributes->get('job');
        if (Job::class !== $argument->getType() || !is_numeric($number)) {
            return [];
        }

        return [$this->jobs->withMachine((int) $number) ?? throw new NotFoundHttpException('There is no such job.')];
    }
}
