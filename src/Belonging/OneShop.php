<?php

declare(strict_types=1);

namespace AwakeShed\App\Belonging;

use Doctrine\ORM\Mapping\ClassMetadata;
use Doctrine\ORM\Query\Filter\SQLFilter;

/**
 * Every question the ORM asks is asked of one shop. Its number is a variable of the connection, as in the statements
 * written by hand: the text of a query is the same for all shops, and where nobody has said whose shed it is, nothing
 * is found.
 */
final class OneShop extends SQLFilter
{
    public const NAME = 'one_shop';

    public function addFilterConstraint(ClassMetadata $targetEntity, string $targetTableAlias): string
    {
        return $targetEntity->getReflectionClass()->implementsInterface(BelongsToShop::class) ? $targetTableAlias.'.shop_id = @shop' : '';
    }
}
