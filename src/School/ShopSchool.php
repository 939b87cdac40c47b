<?php

declare(strict_types=1);

namespace AwakeShed\App\School;

use AwakeShed\App\Belonging\BelongsToShop;
use AwakeShed\App\Belonging\KeyedByShop;
use Doctrine\ORM\Mapping as ORM;

/** The school this shop follows on a question where it does not follow the default; jobs take it over when they are taken in. */
#[ORM\Entity]
class ShopSchool implements BelongsToShop
{
    use KeyedByShop;

    #[ORM\Id, ORM\Column(name: 'shop_id')]
    private int $shopId;

    #[ORM\Id, ORM\Column(length: 40)]
    private string $question;

    #[ORM\Column(length: 60)]
    private string $school;

    public function __construct(string $question, string $school)
    {
        $this->question = $question;
        $this->school = $school;
    }

    public function follow(string $school): void
    {
        $this->school = $school;
    }

    public function getQuestion(): string
    {
        return $this->question;
    }

    public function getSchool(): string
    {
        return $this->school;
    }
}
