<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Form;

use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Validator\Validator\ValidatorInterface;
use Symfony\Component\VarExporter\LazyObjectInterface;

/** The validator costs a page a twentieth of its time: it is made where it has something to look through. */
final class ValidatorTest extends ShedTestCase
{
    #[TestWith(['/take-in'])]
    #[TestWith(['/bench/hydrolock'])]
    #[TestWith(['/bench/hydrolock?displacement_cc=160&compression_ratio=8.5&liquid_ml=10&drops_per_minute=6&drop_ml=0.025'])]
    #[TestWith(['/bench/hydrolock?displacement_cc=much&liquid_ml='])]
    public function testAFormThatIsShownOrRefusesByItselfAsksForNone(string $path): void
    {
        $this->signIn();
        $this->browser->request('GET', $path);
        self::assertSelectorExists('form .field');
        self::assertFalse($this->isMade());
    }

    public function testAFormThatItIsToLookThroughDoes(): void
    {
        $this->signIn();
        $this->browser->request('GET', '/take-in');
        $this->browser->submitForm('Take it in', []);
        self::assertResponseStatusCodeSame(422);
        self::assertTrue($this->isMade());
    }

    private function isMade(): bool
    {
        $validator = self::service(ValidatorInterface::class);
        self::assertInstanceOf(LazyObjectInterface::class, $validator);

        return $validator->isLazyObjectInitialized();
    }
}
