<?php

declare(strict_types=1);

namespace AwakeShed\App\Belonging;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsDoctrineListener;
use Doctrine\ORM\Event\PrePersistEventArgs;
use Doctrine\ORM\Events;

/** Writes onto whatever is new whose it is. */
#[AsDoctrineListener(Events::prePersist)]
final readonly class Belonging
{
    public function __construct(private CurrentShop $shop)
    {
    }

    public function prePersist(PrePersistEventArgs $event): void
    {
        $entity = $event->getObject();
        if ($entity instanceof BelongsToShop) {
            $entity->belongTo($this->shop->id());
        }
    }
}
