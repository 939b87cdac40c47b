<?php

declare(strict_types=1);

namespace AwakeShed\App\Shelf;

use AwakeShed\App\Carburetor\WantedPart;
use Twig\Attribute\AsTwigFunction;

final readonly class ShelfExtension
{
    public function __construct(private PartsShelf $shelf)
    {
    }

    /**
     * @param list<WantedPart> $wanted
     *
     * @return array<int, list<ShelfPart>> by wanted part, what would do
     */
    #[AsTwigFunction('on_shelf')]
    public function onShelf(array $wanted): array
    {
        return $this->shelf->wouldDo($wanted);
    }

    /** @return list<ShelfPart> donors that fit a model */
    #[AsTwigFunction('donors_for')]
    public function donorsFor(string $model): array
    {
        return $this->shelf->donors($model);
    }
}
