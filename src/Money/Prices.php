<?php

declare(strict_types=1);

namespace AwakeShed\App\Money;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\KeyedByShop;
use AwakeShed\Core\Units\ImpossibleAmount;
use Doctrine\ORM\Mapping as ORM;

/** The shop's prices, in one book; there is one of it for each shop. */
#[ORM\Entity, ORM\Table('price_book')]
class Prices implements BelongsToShop
{
    use KeyedByShop;

    /** What stands there before anybody has set a price (invented, to begin with). */
    private const TO_BEGIN_WITH = ['wage' => 60.0, 'base_hours' => 0.75, 'consumables' => 5.0, 'waste_fee' => 4.0, 'tax_percent' => 0.0];

    /** Price => [least, most, symbol]. */
    public const BOUNDS = ['wage' => [0.0, 1000.0, '$'], 'base_hours' => [0.0, 20.0, 'h'], 'consumables' => [0.0, 1000.0, '$'], 'waste_fee' => [0.0, 1000.0, '$'], 'tax_percent' => [0.0, 50.0, '%']];

    /** Dollars an hour. */
    #[ORM\Id, ORM\Column(name: 'shop_id')]
    private int $shopId;

    #[ORM\Column]
    private float $wage = self::TO_BEGIN_WITH['wage'];

    /** Hours that every job takes: looking, jar, proving. */
    #[ORM\Column]
    private float $baseHours = self::TO_BEGIN_WITH['base_hours'];

    /** Dollars a job: cleaner, rags, gaskets by the yard. */
    #[ORM\Column]
    private float $consumables = self::TO_BEGIN_WITH['consumables'];

    /** Dollars a job of which anything was poured away. */
    #[ORM\Column]
    private float $wasteFee = self::TO_BEGIN_WITH['waste_fee'];

    #[ORM\Column]
    private float $taxPercent = self::TO_BEGIN_WITH['tax_percent'];

    #[ORM\Column]
    private bool $isLaborTaxed = false;

    /**
     * @param array<key-of<self::BOUNDS>, float> $prices
     *
     * @throws ImpossibleAmount when one is outside its bounds
     */
    public function set(array $prices, bool $isLaborTaxed): void
    {
        foreach ($prices as $price => $value) {
            ImpossibleAmount::unlessBetween($value, ...self::BOUNDS[$price]);
        }
        $prices += $this->all();
        $this->wage = $prices['wage'];
        $this->baseHours = $prices['base_hours'];
        $this->consumables = $prices['consumables'];
        $this->wasteFee = $prices['waste_fee'];
        $this->taxPercent = $prices['tax_percent'];
        $this->isLaborTaxed = $isLaborTaxed;
    }

    /** @return array{wage: float, base_hours: float, consumables: float, waste_fee: float, tax_percent: float} */
    public function all(): array
    {
        return ['wage' => $this->wage, 'base_hours' => $this->baseHours, 'consumables' => $this->consumables, 'waste_fee' => $this->wasteFee, 'tax_percent' => $this->taxPercent];
    }

    public function isLaborTaxed(): bool
    {
        return $this->isLaborTaxed;
    }
}
