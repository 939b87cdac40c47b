<?php

declare(strict_types=1);

namespace AwakeShed\App\Waste;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\KeyedByShop;
use AwakeShed\Core\Fuel\WasteStream;
use Doctrine\ORM\Mapping as ORM;

/** What holds at this place for one stream: where it goes, when, in what. The shop finds it out and writes it down. */
#[ORM\Entity]
class WasteRule implements BelongsToShop
{
    use KeyedByShop;

    public const LONGEST = 500;

    #[ORM\Id, ORM\Column(name: 'shop_id')]
    private int $shopId;

    #[ORM\Id, ORM\Column(enumType: WasteStream::class, length: 30)]
    private WasteStream $stream;

    #[ORM\Column(length: 500)]
    private string $note = '';

    public function __construct(WasteStream $stream)
    {
        $this->stream = $stream;
    }

    public function say(string $note): void
    {
        $this->note = mb_substr(trim($note), 0, self::LONGEST);
    }

    public function getStream(): WasteStream
    {
        return $this->stream;
    }

    public function getNote(): string
    {
        return $this->note;
    }
}
