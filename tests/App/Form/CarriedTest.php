<?php

declare(strict_types=1);

namespace AwakeShed\Tests\App\Form;

use AwakeShed\App\Form\Carried;
use AwakeShed\App\Http\TokenExtension;
use AwakeShed\Tests\App\ShedTestCase;
use PHPUnit\Framework\Attributes\DataProvider;
use Symfony\Component\Form\Extension\Core\Type\FormType;
use Symfony\Component\Form\Extension\Core\Type\TextType;
use Symfony\Component\Form\FormFactoryInterface;
use Symfony\Component\Form\FormInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\RequestStack;
use Symfony\Component\HttpFoundation\Session\Session;
use Symfony\Component\HttpFoundation\Session\Storage\MockArraySessionStorage;

/** What a form carries beside its fields. */
final class CarriedTest extends ShedTestCase
{
    private const KEY = '019ab4c2-7a11-7c11-8000-0123456789ab';

    protected function setUp(): void
    {
        parent::setUp();
        $request = new Request();
        $request->setSession(new Session(new MockArraySessionStorage()));
        self::service(RequestStack::class)->push($request);
    }

    public function testOnlyWhatIsAskedForIsCarried(): void
    {
        self::assertSame(['plain[_token]'], array_keys(Carried::shownBy($this->form('plain')->createView())));
        self::assertSame([], Carried::shownBy($this->form('free', ['csrf_token_id' => null])->createView()));
        self::assertSame(['all[_token]', 'all[request_key]', 'all[based_on]'], array_keys(Carried::shownBy($this->form('all', ['once' => true, 'based_on' => 'mark'])->createView())));
        self::assertSame(['_token'], array_keys(Carried::shownBy($this->form('')->createView())), 'a form without a name has its fields alone');
    }

    /** @return iterable<string, array{mixed, bool}> */
    public static function tokens(): iterable
    {
        yield 'its own' => [null, true];
        yield 'of another session' => ['of-another', false];
        yield 'none' => ['', false];
        yield 'a list' => [['x'], false];
    }

    #[DataProvider('tokens')]
    public function testAFormIsTakenWithTheTokenOfItsSessionOnly(mixed $token, bool $isTaken): void
    {
        $form = $this->form('plain');
        $form->submit(['word' => 'oak', '_token' => $token ?? self::service(TokenExtension::class)->token()]);
        self::assertSame([$isTaken, 'oak'], [$form->isValid(), $form->get('word')->getData()], 'what was typed is there either way');
    }

    public function testWhatIsCarriedComesBackAndCountsAsNoField(): void
    {
        $form = $this->sent(['once' => true, 'based_on' => 'then'], ['request_key' => self::KEY, 'based_on' => 'then']);
        self::assertTrue($form->isValid());
        self::assertSame([self::KEY, 'then'], [Carried::by($form)->key, Carried::by($form)->basedOn]);
        self::assertSame(self::KEY, Carried::keyOf($form, new Request())->value);
        $shown = Carried::shownBy($form->createView());
        self::assertSame([self::KEY, 'then'], [$shown['all[request_key]'], $shown['all[based_on]']], 'a resend is known, and is of what it was filled with');

        self::assertFalse($this->sent(['once' => true], ['request_key' => self::KEY, 'based_on' => 'then'])->isValid(), 'it did not ask for a mark');
    }

    public function testWithoutAKeyItIsGivenOne(): void
    {
        foreach ([[], ['request_key' => ''], ['request_key' => ['x']]] as $fields) {
            $form = $this->sent(['once' => true], $fields);
            self::assertSame('', Carried::by($form)->key);
            self::assertMatchesRegularExpression('/^[0-9a-f-]{36}$/', Carried::shownBy($form->createView())['all[request_key]']);
        }
        self::assertNotSame(...array_map(fn (): string => Carried::shownBy($this->form('all', ['once' => true])->createView())['all[request_key]'], [1, 2]));
    }

    public function testAMarkIsOfTheValuesAndIsReplacedOnceKnown(): void
    {
        $mark = fn (string $word): string => Carried::shownBy($this->form('all', ['based_on' => true], $word)->createView())['all[based_on]'];
        self::assertSame($mark('oak'), $mark('oak'));
        self::assertNotSame($mark('oak'), $mark('ash'));

        $view = $this->form('all', ['based_on' => true], 'oak')->createView();
        Carried::rebase($view, 'now');
        self::assertSame('now', Carried::shownBy($view)['all[based_on]']);
    }

    /**
     * @param array<string, mixed> $options
     * @param array<string, mixed> $fields
     *
     * @return FormInterface<mixed>
     */
    private function sent(array $options, array $fields): FormInterface
    {
        $form = $this->form('all', $options);
        $form->submit($fields + ['word' => 'oak', '_token' => self::service(TokenExtension::class)->token()]);

        return $form;
    }

    /**
     * @param array<string, mixed> $options
     *
     * @return FormInterface<mixed>
     */
    private function form(string $name, array $options = [], string $word = ''): FormInterface
    {
        return self::service(FormFactoryInterface::class)->createNamedBuilder($name, FormType::class, ['word' => $word], $options)->add('word', TextType::class)->getForm();
    }
}
